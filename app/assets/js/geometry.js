// Boxes and ways as the drawing carries them, in px of the sheet.
const numbers = (text) => text.split(" ").map(Number);

export const things = () => [...document.querySelectorAll("#layer-things > g[data-box], #layer-boundaries > g[data-box]")];
export const lines = () => [...document.querySelectorAll("#layer-lines > g[data-route]")];
export const thing = (id) =>
  document.querySelector(`#layer-things > g[data-element="${CSS.escape(id)}"], #layer-boundaries > g[data-element="${CSS.escape(id)}"]`);
export const line = (id) => document.querySelector(`#layer-lines > g[data-element="${CSS.escape(id)}"]`);
// The element that a group stands for: a thing that stands there once more has an id of its own.
export const meant = (group) => group.dataset.of ?? group.dataset.element;
export const ends = (group) => group.dataset.ends.split(" ");

export function box(group) {
  const [x, y, w, h] = numbers(group.dataset.box);
  return { x, y, w, h, right: x + w, bottom: y + h, cx: x + w / 2, cy: y + h / 2, id: group.dataset.element };
}

export function route(group) {
  const all = numbers(group.dataset.route);
  return Array.from({ length: all.length / 2 }, (_, index) => [all[2 * index], all[2 * index + 1]]);
}

export const path = (points) => points.map(([x, y], index) => `${index ? "L" : "M"}${x} ${y}`).join("");

// A way whose first point goes along, with the bend behind it as far as it must.
export function dragStart(points, dx, dy) {
  const [first, second, ...rest] = points;
  const start = [first[0] + dx, first[1] + dy];
  const upright = first[0] === second[0];
  if (rest.length > 0) return [start, upright ? [start[0], second[1]] : [second[0], start[1]], ...rest];
  if (start[0] === second[0] || start[1] === second[1]) return [start, second];
  if (upright) {
    const middle = (start[1] + second[1]) / 2;
    return [start, [start[0], middle], [second[0], middle], second];
  }
  const middle = (start[0] + second[0]) / 2;
  return [start, [middle, start[1]], [middle, second[1]], second];
}

export const dragEnd = (points, dx, dy) => dragStart([...points].reverse(), dx, dy).reverse();

export function around(boxes) {
  const x = Math.min(...boxes.map((b) => b.x));
  const y = Math.min(...boxes.map((b) => b.y));
  const right = Math.max(...boxes.map((b) => b.right));
  const bottom = Math.max(...boxes.map((b) => b.bottom));
  return { x, y, right, bottom, w: right - x, h: bottom - y, cx: (x + right) / 2, cy: (y + bottom) / 2 };
}

export const overlap = (one, other) => one.x < other.right && other.x < one.right && one.y < other.bottom && other.y < one.bottom;

// The thing that lies in a direction and is nearest, sideways distance counting double.
export function nearest(from, candidates, [dx, dy]) {
  let best = null;
  let least = Infinity;
  candidates.forEach((candidate) => {
    const along = (candidate.cx - from.cx) * dx + (candidate.cy - from.cy) * dy;
    const aside = Math.abs((candidate.cx - from.cx) * dy) + Math.abs((candidate.cy - from.cy) * dx);
    if (along <= 1 || candidate.id === from.id) return;
    const far = along + 2 * aside;
    if (far < least) {
      least = far;
      best = candidate;
    }
  });
  return best;
}

export const DIRECTIONS = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] };

export function svg(name, attributes) {
  const made = document.createElementNS("http://www.w3.org/2000/svg", name);
  Object.entries(attributes).forEach(([key, value]) => made.setAttribute(key, value));
  return made;
}
