/** Knows what the name of a picture's file tells of the work in it. */

/** A year, or from one to another, at the end of a name or in brackets there. */
const DATED = /[\s,_(-]*\(?((?:ca?\.? ?|um |about )?(?:1[0-9]|20)\d\d(?:\s?[-–/]\s?(?:1[0-9]|20)?\d\d)?)\)?$/i;
/** Names that cameras and phones give, which say nothing. */
const CAMERA = /^(img|dsc[fn]?|pxl|p\d|scan|image|photo|bild|foto|screenshot)[\s_-]*[\d\s_()-]*$/i;

/** "evening_ferry-1921.jpg" is “evening ferry”, dated 1921; a camera's own name stays whole. */
export function workNamed(file: string): { title: string; dated: string } {
  const plain = file.replace(/\.[a-z0-9]{2,5}$/i, '');
  const words = plain.replace(/_+/g, ' ').replace(/\s+/g, ' ').trim();
  if (CAMERA.test(plain)) return { title: words, dated: '' };
  const found = DATED.exec(words);
  const title = found ? words.slice(0, found.index).replace(/[\s,(-]+$/, '') : words;
  return found && title ? { title, dated: found[1].trim() } : { title: words, dated: '' };
}
