import { things, box, svg } from "./geometry.js";

// A small picture of the whole sheet, shown while the view holds only a part of it.
export class Overview {
  constructor(view) {
    this.view = view;
    this.place = document.getElementById("overview");
    this.drawing = this.place.querySelector("svg");
    this.window = svg("rect", { class: "window" });
    view.onShow = () => this.follow();
    document.addEventListener("basalt:drawn", () => this.draw());
    this.place.addEventListener("pointerdown", (event) => this.go(event));
    this.place.addEventListener("pointermove", (event) => { if (event.buttons) this.go(event); });
    this.draw();
  }

  draw() {
    const { x, y, w, h } = this.view.frame();
    this.drawing.setAttribute("viewBox", `${x} ${y} ${w} ${h}`);
    const d = things().map(box).map((one) => `M${one.x} ${one.y}h${one.w}v${Math.max(one.h, 6)}h${-one.w}Z`).join("");
    this.drawing.replaceChildren(svg("path", { class: "marks", d }), this.window);
    this.follow();
  }

  follow() {
    if (!this.view.transform) return;
    const { x, y, k } = this.view.transform;
    const { clientWidth, clientHeight } = this.view.viewport;
    const frame = this.view.frame();
    const part = (clientWidth * clientHeight) / (k * k) / (frame.w * frame.h);
    this.place.hidden = part > 0.7;
    Object.entries({ x: -x / k, y: -y / k, width: clientWidth / k, height: clientHeight / k }).forEach(([key, value]) => this.window.setAttribute(key, value));
  }

  go(event) {
    const at = new DOMPoint(event.clientX, event.clientY).matrixTransform(this.drawing.getScreenCTM().inverse());
    this.view.centre(at.x, at.y);
  }
}
