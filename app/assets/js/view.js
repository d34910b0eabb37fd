import { select } from "d3-selection";
import { zoom, zoomIdentity } from "d3-zoom";
import { around, box } from "./geometry.js";

const LEAST = 0.1;
const MOST = 4;
const MOST_FITTED = 1.25;
const MARGIN = 8;
const AROUND = 14;
// Smaller than these lines are less than a pixel thick, and would be lost if they were not drawn thicker.
const FAR = 0.7;
const FURTHER = 0.4;
// The strip of buttons above the sheet.
const HEAD = 36;

// Pan and zoom of the sheet, by a transform of the paper as a whole.
export class View {
  constructor(viewport = document.getElementById("viewport"), paper = document.getElementById("paper")) {
    this.viewport = viewport;
    this.paper = paper;
    this.scale = 1;
    this.zoom = zoom()
      .scaleExtent([LEAST, MOST])
      .filter((event) => this.concerns(event))
      .on("zoom", (event) => this.show(event.transform));
    select(this.viewport).call(this.zoom).on("dblclick.zoom", null);
    if (viewport.id === "viewport")
      document.querySelectorAll("[data-view]").forEach((button) => button.addEventListener("click", () => this[button.dataset.view]()));
    this.measure();
    this.fit();
    new ResizeObserver(() => {
      this.measure();
      this.touched ? this.onShow?.() : this.fit();
    }).observe(this.viewport);
  }

  // Asking while something moves would lay the page out anew.
  measure() {
    this.port = { width: this.viewport.clientWidth, height: this.viewport.clientHeight };
  }

  // The wheel zooms and a drag of the paper pans; a drag of a thing is not the view's.
  concerns(event) {
    if (event.type === "wheel") return true;
    return event.button === 0 && !event.shiftKey && !event.target.closest(".things, .boundaries, .handle");
  }

  // Where a pointer is, in px of the sheet.
  at(event) {
    const port = this.viewport.getBoundingClientRect();
    const { x, y, k } = this.transform;
    return { x: (event.clientX - port.left - x) / k, y: (event.clientY - port.top - y) / k };
  }

  middle() {
    const port = this.viewport.getBoundingClientRect();
    return this.at({ clientX: port.left + port.width / 2, clientY: port.top + port.height / 2 });
  }

  centre(x, y) {
    select(this.viewport).call(this.zoom.translateTo, x, y);
  }

  // Tells something to those who hear the page.
  say(words) {
    document.getElementById("spoken").textContent = words;
  }

  show(transform) {
    this.scale = transform.k;
    this.transform = transform;
    this.touched = this.touched || Boolean(this.settled);
    this.onShow?.();
    this.paper.classList.toggle("far", transform.k < FAR);
    this.paper.classList.toggle("further", transform.k < FURTHER);
    this.paper.style.transform = `translate(${transform.x}px, ${transform.y}px) scale(${transform.k})`;
  }

  frame() {
    return this.sides(this.paper.dataset.frame);
  }

  sides(text) {
    const [x, y, w, h] = text.split(" ").map(Number);
    return { x, y, w, h };
  }

  // What stands on the sheet, with a little around it; without anything on it, the paper.
  extent() {
    const { x, y, w, h } = this.sides(this.paper.dataset.extent);
    return { x: x - AROUND, y: y - AROUND, w: w + 2 * AROUND, h: h + 2 * AROUND };
  }

  // The contents, and asked again the paper with its frame, legend and title block.
  turn() {
    const paper = this.fitted === "contents" && !this.touched;
    this.fit(paper ? this.frame() : this.extent());
    this.fitted = paper ? "paper" : "contents";
  }

  fit({ x, y, w, h } = this.extent()) {
    this.settled = false;
    this.fitted = "contents";
    const { clientWidth, clientHeight } = this.viewport;
    const scale = Math.max(LEAST, Math.min(MOST_FITTED, (clientWidth - 2 * MARGIN) / w, (clientHeight - MARGIN - HEAD) / h));
    const left = (clientWidth - w * scale) / 2;
    const top = HEAD + (clientHeight - HEAD - MARGIN - h * scale) / 2;
    select(this.viewport).call(
      this.zoom.transform,
      zoomIdentity.translate(left - x * scale, Math.max(HEAD, top) - y * scale).scale(scale),
    );
    this.touched = false;
    this.settled = true;
  }

  // A view that somebody had before.
  take({ x, y, k }) {
    select(this.viewport).call(this.zoom.transform, zoomIdentity.translate(x, y).scale(k));
    this.touched = true;
  }

  // While nobody chose another view, what is about to come is in sight too.
  embrace(groups) {
    if (this.touched || groups.length === 0) return;
    const { x, y, w, h } = this.extent();
    const whole = around([
      { x, y, right: x + w, bottom: y + h },
      ...groups.map(box).map((one) => ({ x: one.x - AROUND, y: one.y - AROUND, right: one.right + AROUND, bottom: one.bottom + AROUND })),
    ]);
    this.fit(whole);
  }

  in() {
    select(this.viewport).call(this.zoom.scaleBy, 1.25);
  }
  out() {
    select(this.viewport).call(this.zoom.scaleBy, 0.8);
  }
  pan(dx, dy) {
    select(this.viewport).call(this.zoom.translateBy, dx / this.scale, dy / this.scale);
  }

  // Brings a group into sight when it is out of it.
  reveal(group) {
    const box = group.getBoundingClientRect();
    const port = this.viewport.getBoundingClientRect();
    const inside = box.left >= port.left && box.right <= port.right && box.top >= port.top && box.bottom <= port.bottom;
    if (!inside)
      this.pan(port.left + port.width / 2 - (box.left + box.width / 2), port.top + port.height / 2 - (box.top + box.height / 2));
  }
}
