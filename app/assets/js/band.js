import { svg } from "./geometry.js";

// Shift and a drag over empty paper selects what the band touches.
export class Band {
  constructor(view, selection, drags) {
    this.view = view;
    this.selection = selection;
    this.paper = document.getElementById("guides");
    drags.add((event) => this.start(event));
  }

  start(event) {
    if (!event.shiftKey || event.target.closest("#drawing g[data-element]")) return null;
    const from = this.view.at(event);
    const band = svg("rect", { class: "band-select" });
    this.paper.replaceChildren(band);
    const move = (moved) => {
      const area = this.area(from, this.view.at(moved));
      Object.entries({ x: area.x, y: area.y, width: area.right - area.x, height: area.bottom - area.y }).forEach(([key, value]) =>
        band.setAttribute(key, value),
      );
    };
    const end = (ended) => {
      band.remove();
      setTimeout(() => this.selection.within(this.area(from, this.view.at(ended)), true));
    };
    return { move, end };
  }

  area(one, other) {
    return {
      x: Math.min(one.x, other.x),
      y: Math.min(one.y, other.y),
      right: Math.max(one.x, other.x),
      bottom: Math.max(one.y, other.y),
    };
  }
}
