import { InWay } from "./in_way.js";
import { box, lines, ends, route, path, dragStart, dragEnd, svg } from "./geometry.js";

const THRESHOLD = 3;
const MOST_LINES = 300;

// Dragging things to another place. A copy of what moves is in a layer of its own, and its
// lines are drawn along until the answer brings their new ways.
export class Drag {
  constructor(view, selection, guides, act, drags) {
    this.view = view;
    this.selection = selection;
    this.guides = guides;
    this.act = act;
    this.lifted = document.getElementById("lifted");
    this.alongs = document.getElementById("alongs");
    this.inWay = new InWay(view);
    drags.add((event) => this.start(event));
  }

  start(event) {
    const group =
      !event.shiftKey &&
      !event.target.closest(".handle") &&
      event.target.closest("#layer-things > g, #layer-boundaries > g");
    if (!group || document.body.classList.contains("at-edge")) return null;
    const from = { x: event.clientX, y: event.clientY };
    const groups = this.selection.ids.has(group.dataset.element) ? this.selection.groups() : [group];
    const move = (moved) => this.move(groups, moved.clientX - from.x, moved.clientY - from.y, moved.altKey);
    return { move, end: (_, cancelled) => this.end(groups, cancelled) };
  }

  move(groups, x, y, free) {
    if (!this.moving && Math.hypot(x, y) < THRESHOLD) return;
    if (!this.moving) this.lift(groups);
    let [dx, dy] = [x / this.view.scale, y / this.view.scale];
    if (free) this.guides.end();
    else [dx, dy] = this.guides.snap(dx, dy);
    this.by = [dx, dy];
    this.lifted.style.transform = `translate(${dx}px, ${dy}px)`;
    this.follow(dx, dy);
    this.inWay.follow(dx, dy);
  }

  lift(groups) {
    this.moving = true;
    this.view.touched = true;
    document.body.classList.add("dragging");
    const inside = groups.flatMap((group) => this.contents(group));
    this.moved = [...new Set([...groups, ...inside])];
    this.guides.begin(this.moved.map(box));
    this.inWay.begin(groups);
    const ids = new Set(this.moved.map((group) => group.dataset.element));
    this.lines = lines()
      .filter((line) => ends(line).some((id) => ids.has(id)))
      .slice(0, MOST_LINES)
      .map((line) => {
        const along = svg("path", { class: "along" });
        line.classList.add("left");
        return { along, line, points: route(line), moves: ends(line).map((id) => ids.has(id)) };
      });
    this.lifted.append(...this.moved.map((group) => this.copy(group)));
    this.alongs.append(...this.lines.map((one) => one.along));
  }

  // A copy goes with the pointer: to take the thing itself out would lay the whole sheet out again.
  copy(group) {
    const copy = group.cloneNode(true);
    copy.removeAttribute("id");
    delete copy.dataset.element;
    group.classList.add("left");
    return copy;
  }

  // What stands in a boundary goes with it.
  contents(group) {
    if (group.parentNode?.id !== "layer-boundaries") return [];
    const inner = [...document.querySelectorAll(`#drawing g[data-in="${CSS.escape(group.dataset.element)}"]`)];
    return inner.flatMap((one) => [one, ...this.contents(one)]);
  }

  follow(dx, dy) {
    this.lines.forEach(({ along, points, moves: [first, last] }) => {
      let way = points;
      if (first && last) way = points.map(([x, y]) => [x + dx, y + dy]);
      else if (first) way = dragStart(points, dx, dy);
      else way = dragEnd(points, dx, dy);
      along.setAttribute("d", path(way));
    });
  }

  end(groups, cancelled) {
    if (!this.moving) return;
    this.moving = false;
    this.guides.end();
    this.inWay.end();
    document.body.classList.remove("dragging");
    const ids = groups.map((group) => group.dataset.element);
    setTimeout(() => {
      if (ids.some((id) => !this.selection.ids.has(id))) this.selection.set(ids);
    });
    if (cancelled) return this.settle();
    const [dx, dy] = this.by;
    this.view.dropped = true;
    this.act.post("moves", { moves: JSON.stringify(ids.map((id) => [id, dx, dy])), dropped: "yes" }).finally(() => this.settle());
  }

  // The copies go, and what the answer did not replace is seen again where it stood.
  settle() {
    setTimeout(() => {
      this.view.dropped = false;
      this.lifted.style.transform = "";
      this.lifted.replaceChildren();
      this.alongs.replaceChildren();
      document.querySelectorAll("#drawing .left").forEach((group) => group.classList.remove("left"));
    });
  }
}
