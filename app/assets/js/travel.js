import { things, lines, ends, box, thing, nearest } from "./geometry.js";

// From thing to thing along the connections; where none leads that way, to the nearest.
export class Travel {
  constructor(view, selection) { Object.assign(this, { view, selection }); }

  go(direction) {
    const all = things().map(box);
    if (all.length === 0) return;
    const group = this.selection.group();
    const next = group ? this.next(box(group), all, direction) : this.first(all);
    if (!next) return;
    this.selection.choose(next.id, true);
    this.view.say(thing(next.id).querySelector("title")?.textContent ?? "");
  }

  next(here, all, direction) {
    const joined = new Set(lines().filter((group) => ends(group).includes(here.id)).flatMap(ends));
    return nearest(here, all.filter((one) => joined.has(one.id)), direction) ?? nearest(here, all, direction);
  }

  first(all) {
    const { x, y } = this.view.middle();
    return all.reduce((best, one) => (Math.hypot(one.cx - x, one.cy - y) < Math.hypot(best.cx - x, best.cy - y) ? one : best));
  }
}
