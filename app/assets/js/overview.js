import { things, box, svg } from "./geometry.js";

// The size of the picture without its border, px, as the styles give it.
const WIDTH = 174;
const HEIGHT = 110;

// A small picture of the whole sheet, shown while the view holds only a part of it. The window
// is an element of its own, so that its moving paints nothing again.
export class Overview {
  constructor(view) {
    this.view = view;
    this.place = document.getElementById("overview");
    this.drawing = this.place.querySelector("svg");
    this.window = this.place.querySelector(".window");
    view.onShow = () => this.follow();
    document.addEventListener("basalt:drawn", () => this.draw());
    this.place.addEventListener("pointerdown", (event) => this.go(event));
    this.place.addEventListener("pointermove", (event) => { if (event.buttons) this.go(event); });
    this.draw();
  }

  draw() {
    this.frame = this.view.frame();
    const { x, y, w, h } = this.frame;
    this.drawing.setAttribute("viewBox", `${x} ${y} ${w} ${h}`);
    const d = things().map(box).map((one) => `M${one.x} ${one.y}h${one.w}v${Math.max(one.h, 6)}h${-one.w}Z`).join("");
    this.drawing.replaceChildren(svg("path", { class: "marks", d }));
    this.follow();
  }

  follow() {
    if (!this.view.transform) return;
    const { x, y, k } = this.view.transform;
    const { width, height } = this.view.port;
    const hidden = (width * height) / (k * k) / (this.frame.w * this.frame.h) > 0.7;
    if (this.place.hidden !== hidden) this.place.hidden = hidden;
    if (hidden) return;
    const { scale, left, top } = this.fitted();
    const [wide, high] = [(width / k) * scale, (height / k) * scale];
    this.window.style.transform = `translate(${left + (-x / k - this.frame.x) * scale}px, ${top + (-y / k - this.frame.y) * scale}px)`;
    if (this.wide !== wide || this.high !== high) Object.assign(this.window.style, { width: `${wide}px`, height: `${high}px` });
    [this.wide, this.high] = [wide, high];
  }

  // How the sheet lies in the small picture: as large as fits, in the middle.
  fitted() {
    const scale = Math.min(WIDTH / this.frame.w, HEIGHT / this.frame.h);
    return { scale, left: (WIDTH - this.frame.w * scale) / 2, top: (HEIGHT - this.frame.h * scale) / 2 };
  }

  go(event) {
    const at = new DOMPoint(event.clientX, event.clientY).matrixTransform(this.drawing.getScreenCTM().inverse());
    this.view.centre(at.x, at.y);
  }
}
