// Which columns of the register are shown; what somebody does not want to see is kept for them.
export class Columns {
  constructor(grid) {
    this.grid = grid;
    this.place = document.querySelector("#columns > div");
    this.place.addEventListener("change", () => this.choose());
  }

  hidden() { return JSON.parse(localStorage.getItem(`basalt.columns.${this.grid.table.dataset.kind}`) ?? "[]"); }

  offer() {
    const hidden = this.hidden();
    this.place.replaceChildren(...[...this.grid.table.querySelectorAll("th[data-key]")].map((head) => {
      head.hidden = hidden.includes(head.dataset.key);
      const label = document.createElement("label");
      const box = document.createElement("input");
      Object.assign(box, { type: "checkbox", checked: !head.hidden, name: head.dataset.key });
      label.append(box, ` ${head.textContent.trim()}`);
      return label;
    }));
    this.cover(hidden);
  }

  cover(hidden) {
    this.grid.table.querySelectorAll("td[data-key]").forEach((cell) => { cell.hidden = hidden.includes(cell.dataset.key); });
  }

  choose() {
    const hidden = [...this.place.querySelectorAll("input:not(:checked)")].map((box) => box.name);
    localStorage.setItem(`basalt.columns.${this.grid.table.dataset.kind}`, JSON.stringify(hidden));
    this.grid.table.querySelectorAll("th[data-key]").forEach((head) => { head.hidden = hidden.includes(head.dataset.key); });
    this.cover(hidden);
  }
}
