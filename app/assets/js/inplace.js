import { thing, line } from "./geometry.js";

// The name and the few facts that matter most, edited where the thing stands. The form is there
// at once: it is made from the kind's, and facts that are not known yet come in beneath what
// somebody types.
export class InPlace {
  constructor(view, selection, act) {
    Object.assign(this, { view, selection, act });
    this.place = document.getElementById("inplace");
    view.viewport.addEventListener("dblclick", (event) => this.double(event));
    this.place.addEventListener("keydown", (event) => this.key(event));
    this.place.addEventListener("input", (event) => this.touched.add(event.target.name));
    this.place.addEventListener("focusout", (event) => { if (this.isOpen && !this.place.contains(event.relatedTarget)) this.left(); });
  }

  get isOpen() { return !this.place.hidden; }
  get form() { return this.place.querySelector("form"); }

  double(event) {
    const group = event.target.closest("#drawing g[data-element]");
    if (group) { event.preventDefault(); this.open(group.dataset.element); }
  }

  // What stands on the sheet.
  //
  // row and kind are given for what stands there as a row of a thing.
  open(id, row = null, kind = null) {
    const group = row ?? thing(id) ?? line(id);
    const form = group && this.show(kind ?? [...group.classList].find((name) => name.startsWith("k-"))?.slice(2));
    if (!form) return;
    Object.assign(this, { id, fresh: null });
    form.setAttribute("aria-label", group.dataset.name ?? "");
    if (form.elements.name) form.elements.name.value = group.dataset.name ?? "";
    this.stand(group.getBoundingClientRect());
    this.begin();
    this.learn(id);
  }

  // What is not there yet: it is placed when it has its name.
  propose(fresh, rect) {
    const form = this.show(fresh.kind);
    if (!form) return false;
    Object.assign(this, { id: fresh.id, fresh });
    form.setAttribute("aria-label", `New ${fresh.noun}`);
    Object.entries(fresh.facts).forEach(([name, value]) => { if (form.elements[name]) form.elements[name].value = value; });
    this.stand(rect);
    this.begin();
    return true;
  }

  show(kind) {
    const made = document.getElementById(`form-${kind?.replaceAll(" ", "-")}`)?.content.firstElementChild.cloneNode(true);
    if (!made) return null;
    this.place.replaceChildren(made);
    this.place.hidden = false;
    this.touched = new Set();
    return made;
  }

  begin() {
    const first = this.form.querySelector("input, select");
    first?.focus();
    first?.select?.();
  }

  // The facts that the drawing does not carry.
  async learn(id) {
    const answer = await fetch(`${this.act.sheet}/inplace/${id}`, { headers: { Accept: "application/json" } }).catch(() => null);
    if (!answer?.ok || this.id !== id || this.fresh || !this.isOpen) return;
    const known = await answer.json();
    Object.entries(known).forEach(([name, value]) => {
      const field = this.form?.elements[name];
      if (!field || this.touched.has(name) || field.value === value) return;
      field.value = value;
      // What is typed next takes its place, as it would have taken what stood there.
      if (field === document.activeElement) field.select?.();
    });
  }

  stand(at) {
    const port = this.view.viewport.getBoundingClientRect();
    const left = Math.max(4, Math.min(at.left - port.left, port.width - this.place.offsetWidth - 8));
    const top = Math.max(4, Math.min(at.top - port.top - 2, port.height - this.place.offsetHeight - 8));
    this.place.style.left = `${left}px`;
    this.place.style.top = `${top}px`;
  }

  key(event) {
    event.stopPropagation();
    if (event.key === "Escape") return this.cancel();
    if (event.key === "Enter") { event.preventDefault(); this.enter(); }
  }

  enter() {
    const { fresh } = this;
    this.commit();
    if (fresh) this.next?.(fresh);
  }

  cancel() {
    this.close();
    this.cancelled?.();
  }

  // Whoever goes elsewhere has said what there was to say; what has no name yet is dropped.
  left() {
    if (this.fresh && !this.touched.size) this.close();
    else this.commit();
  }

  // Sends what was typed, once, and closes.
  commit() {
    if (!this.isOpen) return;
    const { id, fresh } = this;
    const facts = Object.fromEntries([...this.touched].filter((name) => name).map((name) => [name, this.form.elements[name].value]));
    const title = this.form.elements.name?.value || this.form.getAttribute("aria-label");
    this.close();
    if (fresh) this.placed?.(fresh, facts);
    else if (Object.keys(facts).length) this.act.post(`inplace/${id}`, { facts: JSON.stringify(facts) }, { label: title, about: [id] });
  }

  close() {
    const held = this.place.contains(document.activeElement);
    this.place.hidden = true;
    this.place.replaceChildren();
    Object.assign(this, { id: null, fresh: null });
    if (held || document.activeElement === document.body) this.view.viewport.focus();
  }
}
