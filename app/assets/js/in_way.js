import { box, things } from "./geometry.js";

// px by which two things have to lie over each other to be in each other's way.
const OVER = 8;

// Where things stand on top of each other, those in the way of what is dragged there are shown with the side to which they would
// go: up where it lies lower than their middle, and down where it lies higher.
export class InWay {
  constructor(view) {
    this.view = view;
    this.shown = [];
    this.told = "";
  }

  begin(groups) {
    this.moved = groups.length === 1 && groups[0].dataset.stacks ? box(groups[0]) : null;
    this.others = this.moved ? things().filter((group) => group !== groups[0] && group.dataset.stacked).map((group) => ({ group, at: box(group) })) : [];
  }

  follow(dx, dy) {
    if (!this.moved) return;
    const { x, y, right, bottom } = this.moved;
    const at = { x: x + dx, y: y + dy, right: right + dx, bottom: bottom + dy };
    const met = this.others.filter(({ at: other }) => this.over(at, other));
    const middle = met.reduce((sum, { at: other }) => sum + (other.y + other.bottom) / 2, 0) / met.length;
    const side = (at.y + at.bottom) / 2 >= middle ? "up" : "down";
    this.clear();
    met.forEach(({ group }) => group.classList.add("in-way", `in-way-${side}`));
    this.shown = met.map(({ group }) => group);
    this.tell(met.length ? `${met.map(({ group }) => group.dataset.name).join(", ")} would go ${side}` : "");
  }

  over(one, other) {
    return (
      Math.min(one.right, other.right) - Math.max(one.x, other.x) > OVER && Math.min(one.bottom, other.bottom) - Math.max(one.y, other.y) > OVER
    );
  }

  tell(words) {
    if (words !== this.told) this.view.say(words);
    this.told = words;
  }

  clear() { this.shown.forEach((group) => group.classList.remove("in-way", "in-way-up", "in-way-down")); }

  end() {
    this.clear();
    this.shown = [];
    this.moved = null;
  }
}
