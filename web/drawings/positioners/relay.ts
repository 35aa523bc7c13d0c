import { box, circle, poly, shape } from '../sections/kit';

/** The relay inside a positioner: body, diaphragms, inner valve, flappers; a picture of 52 by 48. */
export function relay(x: number, y: number) {
  return [
    shape('relay body', `${box(x, y, 24, 8)} ${box(x, y + 36, 24, 8)} ${box(x, y + 8, 5, 28)}`, 'hatch-back'),
    shape('relay diaphragms', `${box(x + 5, y + 14, 22, 3)} ${box(x + 5, y + 26, 22, 3)}`, 'solid'),
    shape('inner valve', poly([x + 12, y + 18], [x + 20, y + 18], [x + 16, y + 25]), 'hatch'),
    shape('relay O-rings', `${circle(x + 27, y + 4, 3)} ${circle(x + 27, y + 40, 3)}`, 'solid'),
    shape('relay gasket', box(x + 24, y + 9, 4, 4), 'solid'),
    shape('flappers', `${box(x + 34, y + 10, 16, 3)} ${box(x + 34, y + 30, 16, 3)}`, 'solid'),
  ];
}
