import { thing, line } from "./geometry.js";

// The name and the few facts that matter most, edited where the thing stands.
export class InPlace {
  constructor(view, selection, act) {
    Object.assign(this, { view, selection, act });
    this.place = document.getElementById("inplace");
    view.viewport.addEventListener("dblclick", (event) => this.double(event));
    this.place.addEventListener("keydown", (event) => this.key(event));
    this.place.addEventListener("focusout", (event) => { if (!this.place.contains(event.relatedTarget)) this.settle(); });
  }

  get isOpen() { return !this.place.hidden; }

  double(event) {
    const group = event.target.closest("#drawing g[data-element]");
    if (group) { event.preventDefault(); this.open(group.dataset.element); }
  }

  async open(id) {
    const group = thing(id) ?? line(id);
    if (!group) return;
    this.id = id;
    this.opening = true;
    await this.act.fill("#inplace", `inplace/${id}`);
    this.opening = false;
    const form = this.place.querySelector("form");
    if (!form) return;
    this.place.hidden = false;
    this.stand(group);
    this.before = this.values();
    const first = form.querySelector("input, select");
    first?.focus();
    first?.select?.();
    if (first && this.ahead) first.value = this.ahead;
    this.waiting = false;
    this.ahead = "";
    if (this.entered) this.enter();
    this.entered = false;
  }

  stand(group) {
    const port = this.view.viewport.getBoundingClientRect();
    const at = group.getBoundingClientRect();
    const left = Math.max(4, Math.min(at.left - port.left, port.width - this.place.offsetWidth - 8));
    const top = Math.max(4, Math.min(at.top - port.top - 2, port.height - this.place.offsetHeight - 8));
    this.place.style.left = `${left}px`;
    this.place.style.top = `${top}px`;
  }

  values() { return JSON.stringify(Object.fromEntries(new FormData(this.place.querySelector("form")))); }

  key(event) {
    event.stopPropagation();
    if (this.waiting) return this.hold(event);
    if (event.key === "Escape") { this.close(); this.cancelled?.(); }
    if (event.key === "Enter") { event.preventDefault(); this.enter(); }
  }

  async enter() {
    const id = this.id;
    this.waiting = Boolean(this.follows?.());
    if (await this.settle(this.waiting)) this.next?.(id);
    else this.waiting = false;
  }

  // What is typed before the form, or the next one, is there becomes the name.
  hold(event) {
    event.preventDefault();
    if (event.key.length === 1) this.ahead = (this.ahead ?? "") + event.key;
    if (event.key === "Backspace") this.ahead = (this.ahead ?? "").slice(0, -1);
    if (event.key === "Enter" && this.opening) this.entered = true;
  }

  // Takes what was typed, if anything was; answers whether the form is done with.
  async settle(stay = false) {
    if (!this.isOpen || this.settling) return true;
    if (this.values() === this.before) { if (!stay) this.close(); return true; }
    this.settling = true;
    await this.act.post(`inplace/${this.id}`, { facts: this.values() });
    this.settling = false;
    const refused = document.querySelector("#answer [role=alert]");
    if (refused) { this.place.querySelector("input")?.focus(); return false; }
    if (!stay) this.close();
    return true;
  }

  close() {
    this.place.hidden = true;
    this.place.replaceChildren();
    if (document.activeElement === document.body) this.view.viewport.focus();
  }
}
