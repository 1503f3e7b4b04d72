import { workNamed } from './workName';

test.each([
  ['Evening ferry.jpg', 'Evening ferry', ''],
  ['evening_ferry-1921.jpeg', 'evening ferry', '1921'],
  ['Evening ferry (1921).png', 'Evening ferry', '1921'],
  ['Waiting at the slip, ca. 1919-21.tif', 'Waiting at the slip', 'ca. 1919-21'],
  ['The signal mast 1919–1921.webp', 'The signal mast', '1919–1921'],
  ['Study 3.jpg', 'Study 3', ''],
  ['IMG_2021.jpg', 'IMG 2021', ''],
  ['1921.jpg', '1921', ''],
])('%s is “%s”, dated “%s”', (file, title, dated) => expect(workNamed(file)).toEqual({ title, dated }));
