import { Drags } from "./drags.js";

const KEY = "basalt.register";
const LEAST = 60;
const STEP = 28;

// The register beneath the sheet: as high as a person drew it up, which is kept for them, and
// open or closed as they left it.
export class Drawer {
  constructor() {
    this.page = document.getElementById("sheet-page");
    this.button = document.getElementById("register-toggle");
    this.edge = document.getElementById("register-edge");
    this.button.addEventListener("click", () => this.toggle());
    new Drags(this.edge).add((event) => this.drag(event));
    this.edge.addEventListener("keydown", (event) => this.key(event));
    const kept = JSON.parse(localStorage.getItem(KEY) ?? "{}");
    if (kept.height) this.high(kept.height);
    if (kept.closed && this.page.dataset.face === "drawing") this.show(false);
  }

  get isOpen() { return this.button.getAttribute("aria-expanded") === "true"; }
  get height() { return document.getElementById("register").offsetHeight; }

  toggle() {
    this.show(!this.isOpen);
    this.keep({ closed: !this.isOpen });
  }

  show(open) {
    this.button.setAttribute("aria-expanded", String(open));
    this.page.classList.toggle("register-closed", !open);
  }

  keep(what) { localStorage.setItem(KEY, JSON.stringify({ ...JSON.parse(localStorage.getItem(KEY) ?? "{}"), ...what })); }

  high(wanted) {
    const height = Math.round(Math.max(LEAST, Math.min(window.innerHeight - 240, wanted)));
    this.page.style.setProperty("--register", `${height}px`);
    this.edge.setAttribute("aria-valuenow", height);
    return height;
  }

  drag(event) {
    const [from, before] = [event.clientY, this.height];
    const move = (moved) => this.high(before + from - moved.clientY);
    return { move, end: (ended) => this.keep({ height: move(ended) }) };
  }

  key(event) {
    const by = { ArrowUp: STEP, ArrowDown: -STEP }[event.key];
    if (!by) return;
    event.preventDefault();
    event.stopPropagation();
    this.keep({ height: this.high(this.height + by) });
  }
}
