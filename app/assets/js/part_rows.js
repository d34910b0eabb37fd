import { thing, svg } from "./geometry.js";

const THRESHOLD = 4;
const LATER = 180;

// The rows of a thing on the drawing: a click chooses one, a double click edits it as a line of
// text, Enter goes on to the next or a new one; a chosen row is dragged to another place or owner.
export class PartRows {
  constructor(view, selection, act, drags) {
    Object.assign(this, { view, selection, act });
    this.place = document.getElementById("part-line");
    this.input = this.place.querySelector("input");
    this.hint = this.place.querySelector("p");
    drags.add((event) => this.press(event));
    view.viewport.addEventListener("click", (event) => this.choose(event.target.closest("#layer-things [data-part]")));
    view.viewport.addEventListener("dblclick", (event) => this.double(event), true);
    this.input.addEventListener("keydown", (event) => this.typing(event));
    this.input.addEventListener("input", () => {
      this.touched = true;
      this.check();
    });
    this.input.addEventListener("blur", () => this.commit());
    document.addEventListener("basalt:drawn", () => this.mark());
  }

  get isOpen() {
    return !this.place.hidden;
  }
  owner(row) {
    return row.closest("g[data-element]").dataset.element;
  }
  row(id) {
    return document.querySelector(`#layer-things [data-part="${CSS.escape(id)}"]`);
  }
  // Where rows stand in one order across the things, all of them.
  rows(owner) {
    const group = thing(owner);
    if (!group?.dataset.across) return [...(group?.querySelectorAll("[data-part]") ?? [])];
    return [...document.querySelectorAll("#layer-things [data-part]")].sort(
      (one, other) => one.getBoundingClientRect().top - other.getBoundingClientRect().top,
    );
  }

  choose(row) {
    this.part = row?.dataset.part ?? null;
    this.mark();
  }

  mark() {
    document.querySelectorAll(".row-chosen").forEach((row) => row.classList.remove("row-chosen"));
    if (this.part) this.row(this.part)?.classList.add("row-chosen");
  }

  double(event) {
    const row = event.target.closest("#layer-things [data-part]");
    if (!row) return;
    event.preventDefault();
    event.stopPropagation();
    this.edit(row);
  }

  // Keys about the chosen row; answers whether it was one of them.
  key(event) {
    const row = this.part && this.row(this.part);
    if (!row || event.ctrlKey || event.metaKey) return false;
    const step = { ArrowUp: -1, ArrowDown: 1 }[event.key];
    if (step && event.altKey) this.move(row, step);
    else if (step && !event.shiftKey) this.choose(this.rows(this.owner(row))[this.rows(this.owner(row)).indexOf(row) + step] ?? row);
    else if (event.key === "Enter" || event.key === "F2") this.edit(row);
    else if (event.key === "Delete" || event.key === "Backspace") this.remove(row);
    else if (event.key === "Escape") this.choose(null);
    else return false;
    event.preventDefault();
    return true;
  }

  move(row, step) {
    const rows = this.rows(this.owner(row));
    const at = rows.indexOf(row);
    const before = step < 0 ? rows[at - 1] : rows[at + 2];
    if (step < 0 ? !before : at === rows.length - 1) return;
    this.put(row.dataset.part, this.owner(row), before?.dataset.part);
  }

  put(part, owner, before = "") {
    this.act.post(`part-placed/${part}`, { owner, before }, { label: "moving a row", about: [part] });
  }

  remove(row) {
    const rows = this.rows(this.owner(row));
    const next = rows[rows.indexOf(row) + 1] ?? rows[rows.indexOf(row) - 1];
    this.act.post("removed", { chosen: row.dataset.part, sure: "yes" }, { label: "removing a row" });
    this.choose(next ?? null);
  }

  async edit(row) {
    const id = row.dataset.part;
    this.choose(row);
    const kind = thing(this.owner(row)).dataset.across;
    if (kind) return this.inplace.open(id, row, kind);
    this.open(this.owner(row), id, row.getBoundingClientRect());
    const answer = await fetch(`${this.act.sheet}/part/${id}`, { headers: { Accept: "application/json" } }).catch(() => null);
    if (!answer?.ok || this.editing !== id || this.touched) return;
    this.input.value = (await answer.json()).text;
    this.before = this.input.value;
    this.input.select();
  }

  // A row that is not there yet, beneath the others.
  fresh(owner) {
    const last = this.rows(owner).at(-1) ?? thing(owner);
    const at = last.getBoundingClientRect();
    this.open(owner, null, { left: at.left, top: at.bottom, width: at.width });
  }

  open(owner, id, at) {
    Object.assign(this, { of: owner, editing: id, before: "", touched: false });
    this.input.value = "";
    this.hint.textContent = "";
    this.place.hidden = false;
    const port = this.view.viewport.getBoundingClientRect();
    this.place.style.left = `${Math.max(4, Math.min(at.left - port.left, port.width - 330))}px`;
    this.place.style.top = `${Math.max(4, Math.min(at.top - port.top - 2, port.height - 60))}px`;
    this.input.focus();
  }

  typing(event) {
    event.stopPropagation();
    if (event.key === "Escape") return this.close();
    if (event.key === "Tab") {
      event.preventDefault();
      return this.field(event.shiftKey ? -1 : 1);
    }
    if (event.key === "Enter") {
      event.preventDefault();
      this.on(event.shiftKey ? -1 : 1);
    }
    if (event.altKey && (event.key === "ArrowUp" || event.key === "ArrowDown") && this.editing) {
      event.preventDefault();
      this.move(this.row(this.editing), event.key === "ArrowUp" ? -1 : 1);
    }
  }

  // The next word of the line.
  field(by) {
    const words = [...this.input.value.matchAll(/\S+/g)].map((match) => [match.index, match.index + match[0].length]);
    const at = words.findIndex(([from, to]) => this.input.selectionStart >= from && this.input.selectionStart <= to);
    const next = words[at + by];
    if (next) this.input.setSelectionRange(...next);
    else if (by > 0) {
      this.input.value = `${this.input.value.trimEnd()} `;
      this.input.setSelectionRange(this.input.value.length, this.input.value.length);
    }
  }

  on(by) {
    const { of: owner, editing } = this;
    const empty = !editing && !this.input.value.trim();
    const rows = this.rows(owner);
    const at = editing ? rows.findIndex((row) => row.dataset.part === editing) : rows.length;
    this.commit();
    const next = rows[at + by];
    if (empty) return;
    if (next) this.edit(next);
    else if (by > 0) this.fresh(owner);
  }

  // Sends what was typed, once, and closes.
  commit() {
    if (!this.isOpen) return;
    const { of: owner, editing } = this;
    const text = this.input.value.trim();
    const altered = text && text !== this.before.trim();
    this.close();
    if (altered) this.act.post(editing ? `part/${editing}` : `parts/${owner}`, { text }, { label: text, about: [owner] });
  }

  close() {
    this.place.hidden = true;
    this.editing = null;
    if (document.activeElement === this.input || document.activeElement === document.body) this.view.viewport.focus();
  }

  // What is not understood is shown at its letter while it is typed.
  check() {
    clearTimeout(this.later);
    this.later = setTimeout(async () => {
      const text = this.input.value;
      if (!text.trim() || !this.isOpen) {
        this.hint.textContent = "";
        return;
      }
      const answer = await fetch(`${this.act.sheet}/part-check/${this.of}?${new URLSearchParams({ text })}`).catch(() => null);
      if (!answer?.ok || this.input.value !== text) return;
      const { at, reason } = await answer.json();
      this.hint.textContent = reason ? `${"\u00a0".repeat(at)}^ ${reason}` : "";
    }, LATER);
  }

  // A chosen row goes with the pointer, to another place or to another thing.
  press(event) {
    const row = event.target.closest("#layer-things [data-part]");
    if (!row || row.dataset.part !== this.part || document.body.classList.contains("placing")) return null;
    const from = [event.clientX, event.clientY];
    const move = (moved) => this.aim(from, moved);
    const end = () => {
      const target = this.target;
      this.target = null;
      document.getElementById("guides").replaceChildren();
      if (target) this.put(row.dataset.part, target.owner, target.before);
    };
    return { move, end };
  }

  // The thing over or under which the pointer is, where rows stand in one order across the things.
  across(event) {
    return [...document.querySelectorAll("#layer-things > g[data-across]")].find((group) => {
      const at = group.getBoundingClientRect();
      return event.clientX >= at.left && event.clientX <= at.right;
    });
  }

  aim([x, y], event) {
    this.target = null;
    document.getElementById("guides").replaceChildren();
    if (Math.hypot(event.clientX - x, event.clientY - y) < THRESHOLD) return;
    const under =
      document.elementFromPoint(event.clientX, event.clientY)?.closest("#layer-things > g[data-element]") ?? this.across(event);
    if (!under) return;
    const owner = under.dataset.element;
    const before = this.rows(owner).find((row) => {
      const box = row.getBoundingClientRect();
      return event.clientY < box.top + box.height / 2;
    });
    this.target = { owner, before: before?.dataset.part ?? "" };
    const at = (before ?? this.rows(owner).at(-1) ?? under).getBoundingClientRect();
    const one = this.view.at({ clientX: at.left, clientY: before ? at.top : at.bottom });
    const other = this.view.at({ clientX: at.right, clientY: before ? at.top : at.bottom });
    document.getElementById("guides").replaceChildren(svg("path", { class: "row-goes", d: `M${one.x} ${one.y}H${other.x}` }));
  }
}
