import { Columns } from "./columns.js";
import { Ranges } from "./ranges.js";

const typed = (event) => event.key.length === 1 && !event.ctrlKey && !event.metaKey && !event.altKey;
const STEPS = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] };

// The register as a grid of cells: walked with the arrows, filled in by typing, copied to and
// from a spreadsheet. What is not taken stays in its cell with the reason.
export class Grid {
  constructor(act, selection) {
    Object.assign(this, { act, selection });
    this.place = document.getElementById("table");
    this.refused = new Map();
    this.place.addEventListener("pointerdown", (event) => this.press(event));
    this.place.addEventListener("pointerover", (event) => { if (event.buttons === 1 && this.anchor) this.reach(event.target.closest("td[data-key]")); });
    this.place.addEventListener("dblclick", (event) => { if (event.target.closest("td[data-key]")) this.edit(); });
    this.place.addEventListener("keydown", (event) => this.key(event));
    this.place.addEventListener("click", (event) => this.sort(event.target.closest("th .sort")));
    this.place.addEventListener("copy", (event) => this.ranges.copy(event));
    this.place.addEventListener("paste", (event) => this.ranges.paste(event));
    this.place.addEventListener("focusin", (event) => { const cell = event.target.closest("td[data-key]"); if (cell && cell !== this.cell) this.go(cell, false); });
    document.addEventListener("basalt:drawn", () => this.restore());
    document.getElementById("filter").addEventListener("input", () => this.filter());
    new MutationObserver(() => this.opened()).observe(this.place, { childList: true });
    this.columns = new Columns(this);
    this.ranges = new Ranges(this);
    this.opened();
  }

  get table() { return this.place.querySelector("table"); }
  rows() { return [...this.table.querySelectorAll("tr[data-row]")]; }
  keys() { return [...this.table.querySelectorAll("th[data-key]")].filter((head) => !head.hidden).map((head) => head.dataset.key); }
  head(key) { return this.table.querySelector(`th[data-key="${CSS.escape(key)}"]`); }
  at(row, key) { return this.table.querySelector(`tr[data-row="${CSS.escape(row)}"] > td[data-key="${CSS.escape(key)}"]`); }
  where(cell) { return [cell.parentNode.dataset.row, cell.dataset.key]; }

  opened() {
    if (!this.table) return;
    this.columns.offer();
    const first = this.table.querySelector("td[data-key]");
    if (first && !this.table.querySelector("td[tabindex='0']")) first.tabIndex = 0;
    this.restore();
  }

  press(event) {
    const cell = event.target.closest("td[data-key]");
    if (!cell || event.button !== 0 || event.target.closest("input, select")) return;
    if (this.input) this.take();
    if (event.shiftKey && this.cell) { event.preventDefault(); return this.reach(cell); }
    this.go(cell);
  }

  // The cell that keys are about; its row is what is selected.
  go(cell, focus = true) {
    if (!cell) return;
    const row = cell.parentNode.dataset.element;
    this.table.querySelectorAll("td[tabindex='0']").forEach((one) => { one.tabIndex = -1; });
    this.cell = cell;
    this.anchor = this.where(cell);
    this.far = this.anchor;
    cell.tabIndex = 0;
    if (focus) cell.focus({ preventScroll: false });
    this.paint();
    if (row && row !== this.selection.id) this.selection.choose(row, true);
  }

  reach(cell) {
    if (!cell) return;
    this.far = this.where(cell);
    this.paint();
  }

  // Rows and keys from the cell to the far corner of the range.
  range() {
    const rows = this.rows().map((row) => row.dataset.row);
    const keys = this.keys();
    const span = (list, one, other) => { const [a, b] = [list.indexOf(one), list.indexOf(other)].sort((x, y) => x - y); return list.slice(a, b + 1); };
    return [span(rows, this.anchor[0], this.far[0]), span(keys, this.anchor[1], this.far[1])];
  }

  paint() {
    this.table.querySelectorAll(".in-range").forEach((cell) => cell.classList.remove("in-range"));
    const [rows, keys] = this.range();
    if (rows.length * keys.length < 2) return;
    rows.forEach((row) => keys.forEach((key) => this.at(row, key)?.classList.add("in-range")));
  }

  key(event) {
    if (this.input) return this.typing(event);
    const cell = event.target.closest("td[data-key]");
    if (!cell) return;
    if (STEPS[event.key] && !event.altKey) return this.walk(event, STEPS[event.key]);
    if (event.altKey && (event.key === "ArrowUp" || event.key === "ArrowDown") && this.table.dataset.ordered) return this.shift(event, cell, event.key === "ArrowUp" ? -1 : 1);
    const act = this.acts(event)[event.key];
    if (act) { event.preventDefault(); event.stopPropagation(); return act(); }
    if ((event.ctrlKey || event.metaKey) && event.key === "d") { event.preventDefault(); event.stopPropagation(); return this.ranges.fillDown(); }
    if (typed(event)) { event.preventDefault(); event.stopPropagation(); this.edit(event.key); }
  }

  acts(event) {
    return {
      Tab: () => this.along(event.shiftKey ? -1 : 1),
      Enter: () => this.step(0, event.shiftKey ? -1 : 1),
      F2: () => this.edit(),
      Delete: () => this.ranges.clear(),
      Backspace: () => this.ranges.clear(),
      Home: () => this.go(this.at(this.anchor[0], this.keys()[0])),
      End: () => this.go(this.at(this.anchor[0], this.keys().at(-1))),
      Escape: () => { this.cell.blur(); document.getElementById("viewport")?.focus(); },
    };
  }

  // A row goes up or down among those of a table that has an order.
  shift(event, cell, by) {
    event.preventDefault();
    event.stopPropagation();
    const [row, key] = this.where(cell);
    this.act.post(`rows/${row}`, { by }).then(() => this.open({ by: "", down: "" })).then(() => this.go(this.at(row, key)));
  }

  walk(event, [dx, dy]) {
    event.preventDefault();
    event.stopPropagation();
    if (!event.shiftKey) return this.step(dx, dy);
    const [row, key] = this.shifted(this.far, dx, dy);
    this.reach(this.at(row, key));
  }

  shifted([row, key], dx, dy) {
    const rows = this.rows().map((one) => one.dataset.row);
    const keys = this.keys();
    const within = (list, index) => list[Math.max(0, Math.min(list.length - 1, index))];
    return [within(rows, rows.indexOf(row) + dy), within(keys, keys.indexOf(key) + dx)];
  }

  step(dx, dy) { this.go(this.at(...this.shifted(this.where(this.cell), dx, dy))); }

  // Tab goes on to the next row at the end of one, and out of the table at its end.
  along(by) {
    const keys = this.keys();
    const [row, key] = this.where(this.cell);
    const index = keys.indexOf(key) + by;
    if (index >= 0 && index < keys.length) return this.go(this.at(row, keys[index]));
    const rows = this.rows().map((one) => one.dataset.row);
    const next = rows[rows.indexOf(row) + by];
    if (next) this.go(this.at(next, by > 0 ? keys[0] : keys.at(-1)));
    else (by > 0 ? document.querySelector(".margin button, .margin input") : document.getElementById("filter"))?.focus();
  }

  edit(first = null) {
    const cell = this.cell;
    if (!cell || cell.classList.contains("computed")) return this.act.say("This is worked out from the model and cannot be written", "refusal");
    const head = this.head(cell.dataset.key);
    this.before = cell.textContent;
    this.input = head.dataset.choices && head.dataset.type === "choice" ? this.choice(head) : this.text(head, first);
    this.input.setAttribute("aria-label", head.textContent.trim());
    cell.replaceChildren(this.input);
    this.input.focus();
    this.input.setSelectionRange?.(this.input.value.length, this.input.value.length);
    this.input.addEventListener("blur", () => this.take());
  }

  choice(head) {
    const list = document.createElement("select");
    ["", ...head.dataset.choices.split("|")].forEach((choice) => list.append(new Option(choice, choice, false, choice === this.before)));
    return list;
  }

  text(head, first) {
    const input = document.createElement("input");
    input.value = first ?? this.before;
    input.maxLength = 2000;
    input.autocomplete = "off";
    input.spellcheck = false;
    if (head.dataset.type === "reference") this.complete(input, head.dataset.key);
    if (head.dataset.type === "pattern") this.offer(input, head.dataset.choices.split("|"));
    return input;
  }

  complete(input, key) {
    const list = document.getElementById("names");
    list.replaceChildren();
    input.setAttribute("list", "names");
    this.act.fill("#names", `names/${encodeURIComponent(this.table.dataset.kind)}/${encodeURIComponent(key)}`);
  }

  offer(input, choices) {
    document.getElementById("names").replaceChildren(...choices.map((choice) => new Option(choice, choice)));
    input.setAttribute("list", "names");
  }

  typing(event) {
    event.stopPropagation();
    const then = { Enter: () => this.step(0, event.shiftKey ? -1 : 1), Tab: () => this.along(event.shiftKey ? -1 : 1), Escape: null }[event.key];
    if (then === undefined) return;
    event.preventDefault();
    if (event.key === "Escape") { this.input.value = this.before; this.take(); this.cell.focus(); } else { this.take(); then(); }
  }

  // Puts what was typed into the cell and sends it.
  take() {
    const input = this.input;
    if (!input) return;
    this.input = null;
    const text = input.value;
    const cell = input.closest("td");
    cell.textContent = text;
    if (text !== this.before) this.send([[...this.where(cell), text]]);
  }

  // A row that is not there yet is sent whole, until it is.
  send(cells) {
    if (cells.length === 0) return;
    const news = [...new Set(cells.map(([row]) => row).filter((row) => row.startsWith("new-")))];
    const sent = new Set(cells.map(([row, key]) => `${row} ${key}`));
    const rest = news.flatMap((row) => [...this.table.querySelectorAll(`tr[data-row="${CSS.escape(row)}"] > td[data-key]`)].map((cell) => [row, cell.dataset.key, cell.textContent]))
      .filter(([row, key, text]) => text && !sent.has(`${row} ${key}`));
    cells.forEach(([row, key]) => this.refused.delete(`${row} ${key}`));
    this.act.post("cells", { kind: this.table.dataset.kind, cells: JSON.stringify([...cells, ...rest]) }).then(() => this.answered());
  }

  answered() {
    const answer = document.getElementById("entered");
    if (!answer) return;
    const made = JSON.parse(answer.dataset.made);
    const refused = JSON.parse(answer.dataset.refused);
    answer.remove();
    refused.forEach(([row, key, text, reason]) => this.refused.set(`${made[row] ?? row} ${key}`, { row: made[row] ?? row, key, text, reason }));
    this.adopt(made);
    this.restore();
    if (refused.length) this.act.say(`${refused.length === 1 ? "One cell was" : `${refused.length} cells were`} not taken: ${refused[0][3]}`, "refusal");
  }

  // The row that was new is one of the table now, and an empty one takes its place.
  adopt(made) {
    const fresh = this.table.querySelector("tr.new");
    if (!made[fresh?.dataset.row]) return;
    const inNew = this.cell?.parentNode === fresh ? this.cell.dataset.key : null;
    fresh.querySelectorAll("td").forEach((cell) => { cell.textContent = ""; cell.classList.remove("refused"); });
    this.refused.forEach((one, name) => { if (one.row === fresh.dataset.row) this.refused.delete(name); });
    if (inNew) this.go(this.at(fresh.dataset.row, inNew), document.activeElement === document.body || this.place.contains(document.activeElement));
  }

  // After an answer replaced rows: the cell that keys are about, and what was refused.
  restore() {
    if (!this.table) return;
    this.refused.forEach(({ row, key, text, reason }) => {
      const cell = this.at(row, key);
      if (!cell) return;
      cell.textContent = text;
      cell.classList.add("refused");
      cell.title = reason;
      cell.setAttribute("aria-invalid", "true");
      cell.setAttribute("aria-description", reason);
    });
    if (!this.cell || this.cell.isConnected || this.input) return;
    const again = this.at(...this.anchor);
    const focused = document.activeElement === document.body;
    this.cell = null;
    if (again) { this.cell = again; again.tabIndex = 0; if (focused) again.focus(); }
  }

  sort(button) {
    if (!button) return;
    const key = button.closest("th").dataset.key;
    const down = this.table.dataset.by === key && this.table.dataset.down !== "yes";
    this.open({ by: key, down: down ? "yes" : "" });
  }

  filter() {
    clearTimeout(this.later);
    this.later = setTimeout(() => this.open({ by: this.table.dataset.by, down: this.table.dataset.down }), 200);
  }

  open(order) {
    const path = this.table.dataset.path.slice(this.act.sheet.length + 1);
    this.cell = null;
    return this.act.fill("#table", `${path}?${new URLSearchParams({ ...order, filter: document.getElementById("filter").value })}`);
  }
}
