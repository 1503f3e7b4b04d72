/** Draws the picture that a profile is timed on into the file named on the command line: the first demo scene at 4000 × 3000 px, as a JPEG. */
import { writeFileSync } from 'node:fs';
import { ANSGRAVE } from '../../atelier/hand';
import { renderDrawing } from '../../atelier/render';
import { drawScene, MASTER_SCENES } from '../../atelier/scenes';
import { encodeJpeg } from '../../server/pictures/decode';

const [WIDTH_MM, HEIGHT_MM, WIDTH_PX] = [300, 225, 4000];
const drawing = drawScene(MASTER_SCENES[0].scene, ANSGRAVE, WIDTH_MM, HEIGHT_MM);
writeFileSync(process.argv[2], await encodeJpeg(await renderDrawing(drawing, WIDTH_PX / WIDTH_MM, 5, 11), 92));
