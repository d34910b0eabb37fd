import { newId } from "./ids.js";
import { things, thing, box, path, svg, nearest, DIRECTIONS } from "./geometry.js";

const EDGE = 7;
const NEAR = [
  [EDGE, 0],
  [-EDGE, 0],
  [0, EDGE],
  [0, -EDGE],
  [5, 5],
  [5, -5],
  [-5, 5],
  [-5, -5],
];
const AROUND = [
  [0, 0],
  [0, 6],
  [0, -6],
  [0, 12],
  [0, -12],
  [6, 0],
  [-6, 0],
];

// Joining two things: a drag from the edge of one to the other, or the key and a pick.
export class Connect {
  constructor(view, selection, act, line, drags) {
    Object.assign(this, { view, selection, act, line });
    this.paper = document.getElementById("guides");
    view.viewport.addEventListener("pointermove", (event) => this.hover(event));
    drags.add((event) => this.start(event));
    view.viewport.addEventListener("click", (event) => this.pick(event), true);
  }

  // Near the edge of a thing, inside it or outside, a mark says that a line begins here.
  hover(event) {
    if (event.buttons || this.from) return;
    const found = this.edge(event);
    document.body.classList.toggle("at-edge", Boolean(found));
    this.mark(found && this.view.at(event), found);
  }

  mark(at, group) {
    this.paper.querySelector(".begins")?.remove();
    if (!at) return;
    const { x, y, right, bottom } = box(group);
    const [nx, ny] = [Math.min(Math.max(at.x, x), right), Math.min(Math.max(at.y, y), bottom)];
    const sides = [
      [x, ny, nx - x],
      [right, ny, right - nx],
      [nx, y, ny - y],
      [nx, bottom, bottom - ny],
    ];
    const [cx, cy] = sides.reduce((best, side) => (side[2] < best[2] ? side : best));
    this.paper.append(svg("circle", { class: "begins", cx, cy, r: 4 / this.view.scale }));
  }

  // The thing at whose edge the pointer is: as far outside as inside.
  edge(event) {
    if (this.view.scale < 0.4 || event.target.closest(".handle, #inplace")) return null;
    const group =
      event.target.closest("#layer-things > g[data-box]") ??
      (event.target.closest("#layer-lines > g, #layer-labels > g") ? null : this.around(event));
    if (!group) return null;
    // Along its lifeline somebody may speak anywhere.
    if (event.target.closest(".p-lifeline_grip")) return group;
    const { x, y } = this.view.at(event);
    const at = box(group);
    const inside = Math.min(x - at.x, at.right - x, y - at.y, at.bottom - y);
    return inside < Math.min(EDGE / this.view.scale, at.h / 5) && inside > -EDGE / this.view.scale ? group : null;
  }

  around(event) {
    for (const [dx, dy] of NEAR) {
      const group = document.elementFromPoint(event.clientX + dx, event.clientY + dy)?.closest("#layer-things > g[data-box]");
      if (group) return group;
    }
    return null;
  }

  start(event) {
    if (event.shiftKey || this.from) return null;
    const group = this.edge(event);
    if (!group) return null;
    const from = this.view.at(event);
    const way = svg("path", { class: "along" });
    this.paper.replaceChildren(way);
    const move = (moved) => this.draw(way, from, moved);
    const end = (ended) => {
      this.paper.replaceChildren();
      this.aim(null);
      this.drop(group, ended, from);
    };
    return { move, end };
  }

  draw(way, from, event) {
    const to = this.view.at(event);
    way.setAttribute(
      "d",
      path([
        [from.x, from.y],
        [to.x, to.y],
      ]),
    );
    this.aim(this.under(event));
  }

  // What the pointer is on, or all but on: a bus is thin.
  under(event) {
    const at = (dx, dy) => document.elementFromPoint(event.clientX + dx, event.clientY + dy)?.closest("#layer-things > g[data-box]");
    for (const [dx, dy] of AROUND) {
      const group = at(dx, dy);
      if (group) return group;
    }
    return null;
  }

  aim(group) {
    document.querySelectorAll(".aimed").forEach((one) => one.classList.remove("aimed"));
    group?.classList.add("aimed");
  }

  drop(group, event, from) {
    const to = this.under(event);
    const at = this.view.at(event);
    if (to && this.line.placing && (to !== group || Math.abs(at.y - from.y) > 12))
      return this.line.placing.between(this.name(group), this.name(to), from.y);
    if (to && to !== group) return this.join(group.dataset.element, to.dataset.element);
    if (Math.hypot(at.x - from.x, at.y - from.y) > 20 && !to) this.line.begin(`${this.name(group)} to `);
  }

  name(group) {
    const name = group.dataset.name;
    return /[,:;()"]/.test(name) ? `"${name.replaceAll('"', '""')}"` : name;
  }

  join(from, to) {
    const names = [from, to].map((id) => thing(id)?.dataset.name).join(" to ");
    return this.act.post("connected", { from, to, id: newId() }, { label: names, about: [from, to] });
  }

  // By the key: the selection waits for its other end.
  begin() {
    const group = this.selection.group();
    if (!group) return this.act.say("Select one thing first, then L joins it to another", "refusal");
    this.from = group.dataset.element;
    this.target = null;
    document.body.classList.add("joining");
    this.act.say(`Pick what ${group.dataset.name} is joined to: click it, or go there with the arrows and press Enter; Escape stops`);
  }

  pick(event) {
    if (!this.from) return;
    const group = event.target.closest("#layer-things > g[data-box]");
    event.stopPropagation();
    const from = this.from;
    this.stop();
    if (group) this.joined(from, group);
  }

  // Where lines stand in order the words come next, also of what one says to itself.
  joined(from, group) {
    if (this.line.placing) this.line.placing.between(this.name(thing(from)), this.name(group));
    else if (group.dataset.element !== from) this.join(from, group.dataset.element);
  }

  // Arrows go from thing to thing, Enter joins.
  key(event) {
    if (!this.from) return false;
    if (DIRECTIONS[event.key]) {
      const here = box(thing(this.target ?? this.from));
      const next = nearest(
        here,
        things()
          .map(box)
          .filter((one) => one.id !== this.from),
        DIRECTIONS[event.key],
      );
      if (!next) this.act.say("Nothing stands further that way");
      else {
        this.target = next.id;
        this.aim(thing(next.id));
        this.view.reveal(thing(next.id));
        this.act.say(`Enter joins it to ${thing(next.id).dataset.name}`);
      }
    } else if (event.key === "Enter" && this.target) {
      const { from, target } = this;
      this.stop();
      this.joined(from, thing(target));
    } else if (event.key === "Enter") {
      this.act.say("Go to what it is joined to with the arrows first, or click it");
    } else if (event.key === "Escape") {
      this.stop();
    } else {
      if (!["Shift", "Alt", "Control", "Meta", "Tab"].includes(event.key)) this.stop();
      return false;
    }
    event.preventDefault();
    return true;
  }

  stop() {
    this.from = null;
    this.aim(null);
    document.body.classList.remove("joining");
    this.act.quiet();
  }
}
