import { route, box, path, svg, thing, line, things, ends } from "./geometry.js";

const STUB = 14;
const SHORT = 24;

// Handles of what is selected: the runs and ends of a line, the corner of a thing that can
// have another size.
export class Handles {
  constructor(view, selection, act, drags) {
    Object.assign(this, { view, selection, act });
    this.paper = document.getElementById("handles");
    document.addEventListener("basalt:selected", () => this.show());
    document.addEventListener("basalt:drawn", () => this.show());
    drags.add((event) => this.start(event));
  }

  show() {
    this.paper.replaceChildren();
    const id = this.selection.id;
    if (!id) return;
    const way = line(id);
    if (way) return this.ofLine(way);
    const group = thing(id);
    if (group?.dataset.sizable) this.ofThing(group);
  }

  ofLine(group) {
    const points = route(group);
    points.slice(1).forEach((point, index) => {
      const before = points[index];
      if (Math.abs(point[0] - before[0]) + Math.abs(point[1] - before[1]) < SHORT) return;
      this.add((point[0] + before[0]) / 2, (point[1] + before[1]) / 2, { run: index }, point[0] === before[0] ? "across" : "down");
    });
    this.add(...points[0], { end: 0 }, "end");
    this.add(...points.at(-1), { end: 1 }, "end");
  }

  ofThing(group) {
    const { right, bottom } = box(group);
    this.add(right, bottom, { size: 1 }, "corner");
  }

  add(x, y, data, type) {
    const size = 9 / Math.max(this.view.scale, 0.3);
    const handle = svg("rect", { class: `handle ${type}`, x: x - size / 2, y: y - size / 2, width: size, height: size });
    Object.assign(handle.dataset, data);
    this.paper.append(handle);
  }

  start(event) {
    const handle = event.target.closest(".handle");
    if (!handle) return null;
    const from = this.view.at(event);
    const work = this.work(handle);
    const move = (moved) => work.move(this.by(from, moved), moved);
    const end = (ended) => {
      document.getElementById("guides").replaceChildren();
      work.end(this.by(from, ended), ended);
    };
    return { move, end };
  }

  by(from, event) {
    const at = this.view.at(event);
    return [at.x - from.x, at.y - from.y];
  }

  work(handle) {
    if (handle.dataset.size) return this.sizing();
    return handle.dataset.run !== undefined ? this.bending(Number(handle.dataset.run)) : this.rejoining(Number(handle.dataset.end));
  }

  preview(points) {
    document.getElementById("guides").replaceChildren(svg("path", { class: "along", d: path(points) }));
  }

  bending(run) {
    const id = this.selection.id;
    const points = route(line(id));
    return {
      move: (by) => this.preview(this.bent(points, run, by)),
      end: (by) => {
        if (Math.hypot(...by) > 3)
          this.act.post(`bent/${id}`, { points: JSON.stringify(this.bent(points, run, by).map((point) => point.map(Math.round))) });
      },
    };
  }

  // A run goes sideways; at an end of the line a short stub stays where it was.
  bent(points, run, [dx, dy]) {
    const [one, other] = [points[run], points[run + 1]];
    const upright = one[0] === other[0];
    const shift = ([x, y]) => (upright ? [x + dx, y] : [x, y + dy]);
    const towards = (from, to) =>
      upright ? [from[0], from[1] + Math.sign(to[1] - from[1]) * STUB] : [from[0] + Math.sign(to[0] - from[0]) * STUB, from[1]];
    const head = run === 0 ? [one, towards(one, other), shift(towards(one, other))] : [...points.slice(0, run), shift(one)];
    const tail =
      run + 2 === points.length ? [shift(towards(other, one)), towards(other, one), other] : [shift(other), ...points.slice(run + 2)];
    return [...head, ...tail];
  }

  rejoining(end) {
    const group = line(this.selection.id);
    const points = route(group);
    const fixed = end === 0 ? points.at(-1) : points[0];
    const under = (event) => document.elementFromPoint(event.clientX, event.clientY)?.closest("#layer-things > g[data-box]");
    return {
      move: (_, event) => {
        const at = this.view.at(event);
        this.preview([fixed, [at.x, at.y]]);
      },
      end: (_, event) => {
        const to = under(event) ?? this.near(event);
        if (to && to.dataset.element !== ends(group).at(end === 0 ? 0 : -1))
          this.act.post(`rejoined/${group.dataset.element}`, { end, to: to.dataset.element });
      },
    };
  }

  near(event) {
    const { x, y } = this.view.at(event);
    return things().find((group) => {
      const at = box(group);
      return x > at.x - 12 && x < at.right + 12 && y > at.y - 12 && y < at.bottom + 12;
    });
  }

  sizing() {
    const group = thing(this.selection.id);
    const at = box(group);
    const outline = svg("rect", { class: "along", x: at.x, y: at.y, width: at.w, height: at.h });
    document.getElementById("guides").replaceChildren(outline);
    return {
      move: ([dx, dy]) => {
        outline.setAttribute("width", Math.max(20, at.w + dx));
        outline.setAttribute("height", Math.max(10, at.h + dy));
      },
      end: ([dx, dy]) => this.act.post(`sized/${group.dataset.element}`, { w: Math.max(20, at.w + dx), h: Math.max(10, at.h + dy) }),
    };
  }
}
