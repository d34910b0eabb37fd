import { newId } from "./ids.js";

// Rows of the register: those that somebody began and the server does not know yet, and those
// that an answer brings. No row is ever replaced, so that a cell keeps its input and its focus.
export class Rows {
  constructor(grid) {
    this.grid = grid;
    this.own = new Map();
  }

  needed() { return [...this.grid.table.querySelectorAll("th[data-needed]")]; }

  // It stands behind the last of the others.
  begin(row) {
    const empty = row.cloneNode(true);
    empty.querySelectorAll("td").forEach((cell) => { cell.replaceChildren(); cell.tabIndex = -1; });
    row.after(empty);
    this.grid.table.tBodies[0].append(row);
    return this.become(row, newId());
  }

  become(row, id) {
    row.classList.remove("new");
    row.removeAttribute("aria-label");
    Object.assign(row.dataset, { row: id });
    row.id = `${this.grid.main ? "r" : "p"}${id}`;
    this.own.set(id, { state: "begun", kind: this.grid.table.dataset.kind });
    return row;
  }

  // Rows that somebody left unfinished stand there again when their table is opened.
  stand() {
    const empty = this.grid.table.querySelector("tr.new");
    this.own.forEach((one, id) => {
      if (one.kind !== this.grid.table.dataset.kind || this.grid.row(id) || !empty) return;
      const row = empty.cloneNode(true);
      this.grid.table.tBodies[0].append(row);
      row.classList.remove("new");
      row.dataset.row = id;
      row.id = `${this.grid.main ? "r" : "p"}${id}`;
    });
  }

  // A row below the others, for what is pasted there.
  another() {
    const row = this.grid.table.querySelector("tr.new");
    this.begin(row);
    return row.dataset.row;
  }

  missing(row) { return this.needed().filter((head) => !this.grid.cells.text(row, head.dataset.key).trim()); }
  waits(row) { return this.own.get(row)?.state === "begun" && this.missing(row).length > 0; }

  // All cells of a row that the server does not know yet.
  unsent(row) {
    if (this.own.get(row)?.state !== "begun") return [];
    return this.grid.keys().map((key) => [row, key, this.grid.cells.text(row, key)]).filter(([, , text]) => text);
  }

  sent(row) { const one = this.own.get(row); if (one) one.state = "sent"; }
  named(row) { return this.own.has(row) ? `new-${row}` : row; }

  answered(rows, made, ok) {
    rows.forEach((row) => {
      const one = this.own.get(row);
      if (!one) return;
      if (made[`new-${row}`]) return this.adopt(row);
      if (one.state === "sent" && (!ok || !this.grid.row(row)?.dataset.element)) one.state = "begun";
    });
  }

  // The server knows the row now.
  adopt(id) {
    this.own.delete(id);
    const row = this.grid.row(id);
    if (row && !row.dataset.element) row.dataset.element = id;
  }

  // Whoever leaves a row that cannot be made yet is told what it waits for; an empty one goes.
  left(to) {
    this.own.forEach((one, id) => {
      const row = this.grid.table && this.grid.row(id);
      if (one.state !== "begun" || !row || row === to || row.contains(this.grid.input)) return;
      if (![...row.cells].some((cell) => cell.textContent)) { this.own.delete(id); this.grid.cells.forget(id); return void row.remove(); }
      const missing = this.missing(id).map((head) => head.textContent.trim());
      if (missing.length) this.grid.cells.waits(id, `waits for ${missing.join(" and ")}`);
    });
  }

  // Rows of an answer go into those that stand there, cell by cell; new ones join at the end.
  fill(rows) {
    const { grid } = this;
    [...rows].forEach((row) => {
      const standing = grid.row(row.dataset.row);
      if (standing) this.like(standing, row);
      else if (!grid.table.querySelector("tr.more")) this.hide(grid.table.tBodies[0].appendChild(row));
    });
    grid.cells.paint();
  }

  like(standing, row) {
    standing.dataset.element = row.dataset.element;
    [...row.cells].forEach((cell) => {
      const own = standing.querySelector(`td[data-key="${CSS.escape(cell.dataset.key)}"]`);
      if (!own) return;
      ["refused", "in-range"].filter((name) => own.classList.contains(name)).forEach((name) => cell.classList.add(name));
      own.className = cell.className;
      own.dataset.text = cell.textContent;
      if (!own.contains(this.grid.input)) { if (own.textContent !== cell.textContent) own.textContent = cell.textContent; }
      else this.grid.before = cell.textContent;
    });
  }

  hide(row) { [...row.cells].forEach((cell, index) => { cell.hidden = this.grid.table.tHead.rows[0].cells[index].hidden; }); }

  // The table as the server has it: rows that are gone go, the others come into their order
  // around the one that holds the focus.
  async reload(address) {
    const { grid } = this;
    const asked = this.asked = newId();
    const answer = await fetch(address, { headers: { "HX-Request": "true" } });
    if (!answer.ok) return;
    const fresh = new DOMParser().parseFromString(await answer.text(), "text/html").querySelector("table");
    if (!fresh || asked !== this.asked || fresh.dataset.kind !== grid.table?.dataset.kind) return;
    const body = grid.table.tBodies[0];
    const rows = [...fresh.tBodies[0].rows].map((row) => this.placed(row));
    const held = document.activeElement?.closest?.("tr[data-row]");
    const keep = new Set(rows);
    [...body.rows].forEach((row) => { if (!keep.has(row) && row !== held && !this.own.has(row.dataset.row)) row.remove(); });
    const at = held?.parentNode === body ? rows.indexOf(held) : -1;
    rows.forEach((row, index) => { if (row !== held) body.insertBefore(row, index < at ? held : null); });
    window.htmx.process(body);
    grid.cells.paint();
    if (grid.cell && !grid.cell.isConnected) grid.cell = null;
    if (!grid.table.querySelector("td[tabindex='0']")) grid.table.querySelector("td[data-key]").tabIndex = 0;
  }

  placed(row) {
    const standing = row.dataset.row && this.grid.row(row.dataset.row);
    if (!standing) { if (row.dataset.row) this.hide(row); return row; }
    this.like(standing, row);
    return standing;
  }
}
