// What is selected, wherever it is shown: on the sheet, in the register, in the reading.
export class Selection {
  constructor(sheet, view) {
    this.sheet = sheet;
    this.view = view;
    this.field = document.getElementById("selected");
    document.addEventListener("click", (event) => this.clicked(event));
    document.getElementById("findings").addEventListener("pointerover", (event) => this.point(event.target.closest(".finding")));
    document.getElementById("findings").addEventListener("pointerleave", () => this.light([]));
    const wanted = decodeURIComponent(window.location.hash.slice(1));
    if (wanted) this.choose(wanted, true);
  }

  get id() { return this.field.value; }

  clicked(event) {
    const shower = event.target.closest("[data-show]");
    if (shower) return this.choose(shower.dataset.show, true);
    const lighter = event.target.closest("[data-light]");
    if (lighter) return this.light(lighter.dataset.light.split(" "), true);
    const row = event.target.closest("tr[data-element], li[data-element]");
    if (row) return this.choose(row.dataset.element, true);
    const group = event.target.closest("#drawing g[data-element]");
    if (group) return this.choose(group.dataset.element);
    if (event.target.closest("#viewport")) this.choose("");
  }

  choose(id, reveal = false) {
    if (this.id !== id) {
      this.field.value = id;
      window.htmx.ajax("GET", `${this.sheet}/facts/${id}`, { target: "#facts", swap: "innerHTML" });
    }
    this.mark();
    if (reveal && this.view) {
      const group = document.querySelector(`#drawing g[data-element="${CSS.escape(id)}"]`);
      if (group) this.view.reveal(group);
    }
  }

  // Marks everything that shows the selected element.
  mark() {
    document.querySelectorAll(".chosen").forEach((shown) => shown.classList.remove("chosen"));
    if (!this.id) return;
    document.querySelectorAll(`[data-element="${CSS.escape(this.id)}"]`).forEach((shown) => shown.classList.add("chosen"));
    document.querySelectorAll(".finding").forEach((finding) => {
      if (finding.dataset.about.split(" ").includes(this.id)) finding.classList.add("chosen");
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
    ids.forEach((id) => document.querySelectorAll(`#drawing [data-element="${CSS.escape(id)}"]`).forEach((shown) => shown.classList.add("lit-up")));
  }

  group() {
    return this.id && document.querySelector(`#layer-things > g[data-element="${CSS.escape(this.id)}"]`);
  }
}
