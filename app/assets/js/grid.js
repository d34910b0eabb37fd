import { Columns } from "./columns.js";
import { Ranges } from "./ranges.js";
import { Cells } from "./cells.js";
import { Rows } from "./rows.js";

const typed = (event) => event.key.length === 1 && !event.ctrlKey && !event.metaKey && !event.altKey;
const STEPS = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] };

// The register as a grid of cells: walked with the arrows, filled in by typing, copied to and
// from a spreadsheet. Nobody waits for an answer: what was typed stands in its cell at once, a new
// row is a row from its first key, and what is not taken stays in its cell with the reason.
export class Grid {
  // The register beneath the sheet, or, in the margin, the parts of one thing.
  constructor(act, selection, place = document.getElementById("table")) {
    Object.assign(this, { act, selection, place });
    this.main = place.id === "table";
    this.cells = new Cells(this);
    this.news = new Rows(this);
    this.columns = this.main ? new Columns(this) : { offer() {} };
    this.ranges = new Ranges(this);
    this.place.addEventListener("pointerdown", (event) => this.press(event));
    this.place.addEventListener("pointerover", (event) => {
      if (event.buttons === 1 && this.anchor) this.reach(event.target.closest("td[data-key]"));
    });
    this.place.addEventListener("dblclick", (event) => {
      if (event.target.closest("td[data-key]")) this.edit();
    });
    this.place.addEventListener("keydown", (event) => this.key(event));
    this.place.addEventListener("click", (event) => this.sort(event.target.closest("th .sort")));
    this.place.addEventListener("copy", (event) => this.ranges.copy(event));
    this.place.addEventListener("paste", (event) => this.ranges.paste(event));
    this.place.addEventListener("focusin", (event) => {
      const cell = event.target.closest("td[data-key]");
      if (cell && cell !== this.cell) this.go(cell, false);
    });
    this.place.addEventListener("focusout", () =>
      setTimeout(() => {
        if (!this.place.contains(document.activeElement)) this.news.left(null);
      }),
    );
    if (this.main) this.furnish();
    new MutationObserver(() => this.opened()).observe(this.place, { childList: true });
    this.opened();
  }

  furnish() {
    document.getElementById("filter").addEventListener("input", () => this.filter());
    document.getElementById("tabs").addEventListener("click", (event) => this.turn(event.target.closest("[data-kind]")));
  }

  get table() {
    return this.place.querySelector("table");
  }
  rows() {
    return [...this.table.querySelectorAll("tr[data-row]")];
  }
  keys() {
    return [...this.table.querySelectorAll("th[data-key]")].filter((head) => !head.hidden).map((head) => head.dataset.key);
  }
  head(key) {
    return this.table.querySelector(`th[data-key="${CSS.escape(key)}"]`);
  }
  row(id) {
    return this.table.querySelector(`tr[data-row="${CSS.escape(id)}"]`);
  }
  at(row, key) {
    return this.table.querySelector(`tr[data-row="${CSS.escape(row)}"] > td[data-key="${CSS.escape(key)}"]`);
  }
  where(cell) {
    return [cell.parentNode.dataset.row, cell.dataset.key];
  }

  // Another table is on its way: what is typed before it is there is typed into it.
  async turn(tab) {
    if (!tab) return;
    document.querySelectorAll("#tabs [role=tab]").forEach((one) => one.setAttribute("aria-selected", String(one === tab)));
    if (tab.dataset.kind === this.table?.dataset.kind) return this.reload();
    if (this.input) this.take();
    this.ahead = [];
    this.wanted = tab.dataset.kind;
    try {
      await this.act.fill("#table", tab.dataset.path);
    } finally {
      if (this.wanted === tab.dataset.kind) this.ahead = null;
    }
  }

  // Takes a key that comes too early for the table.
  holds(event) {
    if (!this.ahead || event.ctrlKey || event.metaKey || event.key === "Shift") return false;
    event.preventDefault();
    this.ahead.push({ key: event.key, shiftKey: event.shiftKey });
    return true;
  }

  opened() {
    if (!this.table) return;
    this.columns.offer();
    this.cell = null;
    const first = this.table.querySelector("td[data-key]");
    if (first && !this.table.querySelector("td[tabindex='0']")) first.tabIndex = 0;
    this.news.stand();
    this.cells.paint();
    const ahead = this.wanted === this.table.dataset.kind ? (this.ahead ?? []) : [];
    this.ahead = null;
    if (ahead.length && first) {
      this.go(first);
      ahead.forEach((key) => this.replay(key));
    }
  }

  replay({ key, shiftKey }) {
    const event = { key, shiftKey, target: this.input ?? this.cell, preventDefault() {}, stopPropagation() {} };
    if (this.input && key.length === 1) this.input.value += key;
    else if (this.input && key === "Backspace") this.input.value = this.input.value.slice(0, -1);
    else this.key(event);
  }

  press(event) {
    const cell = event.target.closest("td[data-key]");
    if (!cell || event.button !== 0 || event.target.closest("input")) return;
    if (this.input) this.take();
    this.run = null;
    if (event.shiftKey && this.cell) {
      event.preventDefault();
      return this.reach(cell);
    }
    this.go(cell);
  }

  // The cell that keys are about; its row is what is selected.
  go(cell, focus = true) {
    if (!cell) return;
    const row = cell.parentNode.dataset.element;
    this.table.querySelectorAll("td[tabindex='0']").forEach((one) => {
      one.tabIndex = -1;
    });
    this.cell = cell;
    this.anchor = this.where(cell);
    this.far = this.anchor;
    cell.tabIndex = 0;
    this.news.left(cell.parentNode);
    if (focus) cell.focus({ preventScroll: false });
    this.paint();
    if (this.main && row && row !== this.selection.id) this.selection.choose(row, true);
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
    const span = (list, one, other) => {
      const [a, b] = [list.indexOf(one), list.indexOf(other)].sort((x, y) => x - y);
      return list.slice(a, b + 1);
    };
    return [span(rows, this.anchor[0], this.far[0]), span(keys, this.anchor[1], this.far[1])];
  }

  paint() {
    this.table.querySelectorAll(".in-range").forEach((cell) => cell.classList.remove("in-range"));
    if (this.anchor[0] === this.far[0] && this.anchor[1] === this.far[1]) return;
    const [rows, keys] = this.range();
    rows.forEach((row) => keys.forEach((key) => this.at(row, key)?.classList.add("in-range")));
  }

  key(event) {
    if (this.input) return this.typing(event);
    const cell = event.target.closest("td[data-key]");
    if (!cell) return;
    if (STEPS[event.key]) this.run = null;
    if (event.altKey && (event.key === "ArrowUp" || event.key === "ArrowDown") && this.table.dataset.ordered)
      return this.shift(event, cell, event.key === "ArrowUp" ? -1 : 1);
    if (STEPS[event.key] && !event.altKey) return this.walk(event, STEPS[event.key]);
    const act = this.acts(event)[event.key];
    if (act) {
      event.preventDefault();
      event.stopPropagation();
      return act();
    }
    if ((event.ctrlKey || event.metaKey) && event.key === "d") {
      event.preventDefault();
      event.stopPropagation();
      return this.ranges.fillDown();
    }
    if (typed(event)) {
      event.preventDefault();
      event.stopPropagation();
      this.edit(event.key);
    }
  }

  acts(event) {
    return {
      Tab: () => this.along(event.shiftKey ? -1 : 1),
      Enter: () => this.down(event.shiftKey ? -1 : 1),
      F2: () => this.edit(),
      Delete: () => this.ranges.clear(),
      Backspace: () => this.ranges.clear(),
      Home: () => this.go(this.at(this.anchor[0], this.keys()[0])),
      End: () => this.go(this.at(this.anchor[0], this.keys().at(-1))),
      Escape: () => {
        this.cell.blur();
        document.getElementById("viewport")?.focus();
      },
    };
  }

  // A row goes up or down among those of a table that has an order. Its neighbour is what moves,
  // so that the row keeps the focus.
  shift(event, cell, by) {
    event.preventDefault();
    event.stopPropagation();
    const row = cell.parentNode;
    const other = by < 0 ? row.previousElementSibling : row.nextElementSibling;
    if (!other?.dataset.element || !row.dataset.element) return;
    if (by < 0) row.after(other);
    else row.before(other);
    this.act.post(`rows/${row.dataset.row}`, { by }, { label: "moving a row" }).then(() => this.reload());
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

  step(dx, dy) {
    this.go(this.at(...this.shifted(this.where(this.cell), dx, dy)));
  }

  // Enter leads to the next row, below the cell at which a run of Tabs began.
  down(by) {
    const begun = this.run ?? this.cell.dataset.key;
    this.run = null;
    const [row] = this.shifted(this.where(this.cell), 0, by);
    this.go(this.at(row, begun));
  }

  // Tab goes on to the next row at the end of one, and out of the table at its end.
  along(by) {
    const keys = this.keys();
    const [row, key] = this.where(this.cell);
    const index = keys.indexOf(key) + by;
    this.run ??= key;
    if (index >= 0 && index < keys.length) return this.go(this.at(row, keys[index]));
    const rows = this.rows().map((one) => one.dataset.row);
    const next = rows[rows.indexOf(row) + by];
    if (next) this.go(this.at(next, by > 0 ? keys[0] : keys.at(-1)));
    else if (this.main) (by > 0 ? document.querySelector(".margin button, .margin input") : document.getElementById("filter"))?.focus();
    else this.leave(by);
  }

  // Out of a table in the margin to what comes before or behind it.
  leave(by) {
    const all = [...document.querySelectorAll(".margin :is(input, select, button, a)")].filter(
      (one) => !this.place.contains(one) && one.offsetParent,
    );
    const [before, behind] = [false, true].map((after) =>
      all.filter((one) => Boolean(this.place.compareDocumentPosition(one) & Node.DOCUMENT_POSITION_FOLLOWING) === after),
    );
    (by > 0 ? behind[0] : before.at(-1))?.focus();
  }

  edit(first = null) {
    const cell = this.cell;
    if (!cell || cell.classList.contains("computed"))
      return this.act.say("This is worked out from the model and cannot be written", "refusal");
    if (cell.parentNode.classList.contains("new")) this.begin(cell.parentNode);
    const head = this.head(cell.dataset.key);
    this.before = cell.textContent;
    this.input = this.field(head, first);
    this.input.setAttribute("aria-label", head.textContent.trim());
    cell.replaceChildren(this.input);
    this.input.focus();
    this.input.setSelectionRange(this.input.value.length, this.input.value.length);
    this.input.addEventListener("blur", () => this.take());
  }

  // The empty row becomes one of its own, and another empty one stands below.
  begin(row) {
    const at = this.where(this.cell)[1];
    this.news.begin(row);
    this.anchor = [row.dataset.row, at];
    this.far = this.anchor;
  }

  field(head, first) {
    const lines = head.dataset.type === "lines";
    const input = document.createElement(lines ? "textarea" : "input");
    Object.assign(input, { value: first ?? this.before, maxLength: lines ? 200000 : 2000, autocomplete: "off", spellcheck: false });
    if (head.dataset.type === "reference") this.complete(input, head.dataset.key);
    if (head.dataset.choices) this.offer(input, head.dataset.choices.split("|"));
    return input;
  }

  complete(input, key) {
    document.getElementById("names").replaceChildren();
    input.setAttribute("list", "names");
    this.act.fill("#names", `names/${encodeURIComponent(this.table.dataset.kind)}/${encodeURIComponent(key)}`);
  }

  offer(input, choices) {
    document.getElementById("names").replaceChildren(...choices.map((choice) => new Option(choice, choice)));
    input.setAttribute("list", "names");
  }

  typing(event) {
    event.stopPropagation();
    const then = { Enter: () => this.down(event.shiftKey ? -1 : 1), Tab: () => this.along(event.shiftKey ? -1 : 1), Escape: null }[
      event.key
    ];
    if (then === undefined) return;
    event.preventDefault();
    if (event.key === "Escape") {
      this.input.value = this.before;
      this.take();
      this.cell.focus();
    } else {
      this.take();
      then();
    }
  }

  // Puts what was typed into the cell and sends it.
  take() {
    const input = this.input;
    if (!input) return;
    this.input = null;
    const cell = input.closest("td");
    const text = this.whole(cell, input.value);
    cell.textContent = text;
    if (text !== this.before) this.send([[...this.where(cell), text]]);
  }

  // The beginning of just one of the words that a column takes means that word.
  whole(cell, text) {
    const head = this.head(cell.dataset.key);
    if (!text || head.dataset.type !== "choice") return text;
    const choices = head.dataset.choices.split("|");
    const begun = choices.filter((choice) => choice.startsWith(text.toLowerCase()));
    return choices.includes(text) || begun.length !== 1 ? text : begun[0];
  }

  send(cells) {
    this.cells.send(cells);
  }

  // Rows of an answer, put where they stand, or at the end.
  fill(rows) {
    this.news.fill(rows);
  }

  drop(id) {
    const row = this.table && this.row(id);
    if (!row) return;
    if (row.contains(document.activeElement)) this.step(0, row.nextElementSibling ? 1 : -1);
    row.remove();
  }

  sort(button) {
    if (!button) return;
    const key = button.closest("th").dataset.key;
    const down = this.table.dataset.by === key && this.table.dataset.down !== "yes";
    this.open({ by: key, down: down ? "yes" : "" });
  }

  filter() {
    clearTimeout(this.later);
    this.later = setTimeout(() => this.open(this.order()), 200);
  }

  order() {
    return { by: this.table.dataset.by, down: this.table.dataset.down };
  }
  address(order) {
    return `${this.table.dataset.path}?${new URLSearchParams({ ...order, filter: this.main ? document.getElementById("filter").value : "" })}`;
  }

  open(order) {
    const path = this.address(order).slice(this.act.sheet.length + 1);
    return this.act.fill(this.main ? "#table" : this.place, path);
  }

  // The rows as the server has them now; whoever types goes on typing.
  reload() {
    return this.news.reload(this.address(this.order()));
  }
}
