import { lines, ends, thing, things, box, overlap, meant } from "./geometry.js";

// What is selected, wherever it is shown: on the sheet, in the register, in the reading.
export class Selection {
  constructor(act, view) {
    this.act = act;
    this.view = view;
    this.ids = new Set();
    this.field = document.getElementById("selected");
    this.all = document.getElementById("chosen");
    document.addEventListener("click", (event) => this.clicked(event));
    document.getElementById("findings").addEventListener("pointerover", (event) => this.point(event.target.closest(".finding")));
    document.getElementById("findings").addEventListener("pointerleave", () => this.light([]));
    // What an answer is about is lit as soon as it comes.
    const answer = document.getElementById("answer");
    new MutationObserver(() => {
      const lit = answer.querySelector("[data-lit]");
      if (lit) this.light([lit.dataset.lit], true);
    }).observe(answer, { childList: true, subtree: true });
    const wanted = decodeURIComponent(window.location.hash.slice(1));
    if (wanted) this.choose(wanted, true);
  }

  // The one that is selected, when there is just one.
  get id() {
    return this.field.value;
  }
  get any() {
    return this.ids.size > 0;
  }

  clicked(event) {
    const shower = event.target.closest("[data-show]");
    if (shower) {
      this.choose(shower.dataset.show, true);
      return shower.dataset.lit ? this.light([shower.dataset.lit], true) : undefined;
    }
    const lighter = event.target.closest("[data-light]");
    if (lighter) return this.light(lighter.dataset.light.split(" "), true);
    const row = event.target.closest("tr[data-element], li[data-element]");
    if (row) return event.shiftKey ? this.toggle(row.dataset.element) : this.choose(row.dataset.element, true);
    const part = event.target.closest("#drawing g[data-across] [data-part]");
    if (part) return this.choose(part.dataset.part);
    const group = event.target.closest("#drawing g[data-element]");
    if (group) return event.shiftKey ? this.toggle(group.dataset.element) : this.choose(group.dataset.element);
    if (event.target.closest("#viewport") && !event.shiftKey) this.choose("");
  }

  choose(id, reveal = false) {
    this.set(id ? [id] : []);
    if (reveal && this.view) {
      const group = document.querySelector(`#drawing g[data-element="${CSS.escape(id)}"]`);
      if (group) this.view.reveal(group);
    }
  }

  toggle(id) {
    const ids = new Set(this.ids);
    if (!ids.delete(id)) ids.add(id);
    this.set(ids);
  }

  set(ids) {
    const before = this.all.value;
    this.ids = new Set(ids);
    this.all.value = [...this.ids].join(" ");
    this.field.value = this.ids.size === 1 ? this.all.value : "";
    if (before !== this.all.value) this.tell();
    this.mark();
    document.dispatchEvent(new CustomEvent("basalt:selected"));
  }

  // The margin tells what is selected.
  tell() {
    const path = this.ids.size > 1 ? `chosen?chosen=${encodeURIComponent(this.all.value)}` : `facts/${this.id}`;
    this.act.fill("#facts", path);
  }

  // What is no longer there is no longer selected.
  prune(gone) {
    const ids = [...this.ids].filter((id) => !gone.includes(id));
    if (ids.length < this.ids.size) this.set(ids);
  }

  alike() {
    const kinds = new Set([...this.ids].map((id) => this.kind(id)).filter(Boolean));
    this.set(
      [...things(), ...lines()].filter((group) => kinds.has(this.kind(group.dataset.element))).map((group) => group.dataset.element),
    );
  }

  kind(id) {
    const group = document.querySelector(`#drawing g[data-element="${CSS.escape(id)}"]`);
    return group && [...group.classList].find((name) => name.startsWith("k-"));
  }

  // What is joined to the selection, and the lines that join it.
  joined() {
    const ids = new Set(this.ids);
    lines()
      .filter((group) => ends(group).some((id) => this.ids.has(id)) || this.ids.has(group.dataset.element))
      .forEach((group) => [group.dataset.element, ...ends(group)].forEach((id) => ids.add(id)));
    this.set(ids);
  }

  everything() {
    this.set(things().map((group) => group.dataset.element));
  }

  within(area, add) {
    const found = things()
      .map(box)
      .filter((one) => overlap(one, area))
      .map((one) => one.id);
    this.set(add ? [...this.ids, ...found] : found);
  }

  // Marks everything that shows what is selected.
  mark() {
    document.querySelectorAll(".chosen").forEach((shown) => shown.classList.remove("chosen"));
    if (!this.any) return;
    if (this.ids.size > 40) {
      document
        .querySelectorAll("#drawing g[data-element], #table tr[data-element]")
        .forEach((shown) => shown.classList.toggle("chosen", this.ids.has(shown.dataset.element)));
      return;
    }
    this.ids.forEach((id) =>
      document.querySelectorAll(`[data-element="${CSS.escape(id)}"]`).forEach((shown) => shown.classList.add("chosen")),
    );
    this.groups()
      .filter((group) => group.dataset.of)
      .forEach((group) => document.querySelector(`#table tr[data-element="${CSS.escape(meant(group))}"]`)?.classList.add("chosen"));
    document.querySelectorAll(".finding").forEach((finding) => {
      if (finding.dataset.about.split(" ").some((id) => this.ids.has(id))) finding.classList.add("chosen");
    });
    document.querySelector("#table tr.chosen")?.scrollIntoView({ block: "nearest" });
  }

  point(finding) {
    this.light(finding ? finding.dataset.about.split(" ") : []);
  }

  // Lights places on the sheet for a while, without selecting them.
  light(ids, stay = false) {
    if (this.staying && !stay && ids.length === 0) return;
    this.staying = stay;
    document.querySelectorAll(".lit-up").forEach((shown) => shown.classList.remove("lit-up"));
    ids.forEach((id) =>
      document
        .querySelectorAll(
          `#drawing [data-element="${CSS.escape(id)}"], #drawing [data-part="${CSS.escape(id)}"], #table tr[data-row="${CSS.escape(id)}"]`,
        )
        .forEach((shown) => shown.classList.add("lit-up")),
    );
  }

  // The things among what is selected that stand on the sheet.
  groups() {
    return [...this.ids].map((id) => thing(id)).filter(Boolean);
  }
  group() {
    return this.id && thing(this.id);
  }
}
