// What was typed into cells and is on its way to the server, or was not taken by it. Both stand
// over what the server says of a cell.
export class Cells {
  constructor(grid) {
    this.grid = grid;
    this.typed = new Map();
  }

  name(row, key) {
    return `${row} ${key}`;
  }

  // Rows that are not shown yet have no cell in which it could stand.
  hold(one) {
    if (this.grid.row(one.row)) this.typed.set(this.name(one.row, one.key), one);
    return one;
  }

  // A row that cannot be made yet waits until it can.
  send(cells) {
    if (cells.length === 0) return;
    cells.forEach(([row, key, text]) => this.hold({ row, key, text }));
    this.paint();
    const ready = cells.filter(([row]) => !this.grid.news.waits(row));
    const sent = new Set(ready.map(([row, key]) => this.name(row, key)));
    const rest = [...new Set(ready.map(([row]) => row))]
      .flatMap((row) => this.grid.news.unsent(row))
      .filter(([row, key]) => !sent.has(this.name(row, key)));
    if (ready.length) this.post([...ready, ...rest]);
  }

  post(cells) {
    const { grid } = this;
    const rows = [...new Set(cells.map(([row]) => row))];
    rows.forEach((row) => grid.news.sent(row));
    const named = cells.map(([row, key, text]) => [grid.news.named(row), key, text]);
    const held = cells.map(([row, key, text]) => this.hold({ row, key, text }));
    const label =
      cells.length === 1 ? `${grid.head(cells[0][1])?.textContent.trim() ?? cells[0][1]} ${cells[0][2]}` : `${cells.length} cells`;
    grid.act
      .post(
        "cells",
        {
          ...(grid.main ? { kind: grid.table.dataset.kind } : { parts: grid.table.dataset.kind, owner: grid.table.dataset.owner }),
          cells: JSON.stringify(named),
        },
        { label, makes: rows, about: rows },
      )
      .then((answer) => this.answered(answer, rows, held));
  }

  answered(answer, rows, held) {
    const { made, refused } = answer.entered ?? { made: {}, refused: [] };
    const reasons = new Map(refused.map(([row, key, , reason]) => [this.name(row.replace(/^new-/, ""), key), reason]));
    held.forEach((one) => {
      const name = this.name(one.row, one.key);
      if (this.typed.get(name) !== one) return;
      one.reason = reasons.get(name) ?? (answer.ok ? null : (answer.reason ?? "the server did not take it"));
      if (!one.reason) this.taken(one, name);
    });
    this.grid.news.answered(rows, made, answer.ok);
    this.paint();
    if (refused.length)
      this.grid.act.say(
        `${refused.length === 1 ? "One cell was" : `${refused.length} cells were`} not taken: ${refused[0][3]}`,
        "refusal",
      );
  }

  // What was taken is shown as the server keeps it: an address in full, say.
  taken(one, name) {
    this.typed.delete(name);
    const cell = this.grid.table && this.grid.at(one.row, one.key);
    if (cell?.dataset.text !== undefined && !cell.contains(this.grid.input)) cell.textContent = cell.dataset.text;
  }

  waits(row, words) {
    this.typed.forEach((one) => {
      if (one.row === row && one.text) one.reason = words;
    });
    this.paint();
  }

  text(row, key) {
    return this.typed.get(this.name(row, key))?.text ?? this.grid.at(row, key)?.textContent ?? "";
  }

  forget(row) {
    this.typed.forEach((one, name) => {
      if (one.row === row) this.typed.delete(name);
    });
  }

  // Shows what was typed, and what was refused with its reason.
  paint() {
    const { grid } = this;
    grid.table?.querySelectorAll("td.refused").forEach((cell) => {
      if (this.typed.get(this.name(...grid.where(cell)))?.reason) return;
      cell.classList.remove("refused");
      ["title", "aria-invalid", "aria-description"].forEach((name) => cell.removeAttribute(name));
    });
    this.typed.forEach(({ row, key, text, reason }) => {
      const cell = grid.table && grid.at(row, key);
      if (!cell || cell.contains(grid.input)) return;
      if (cell.textContent !== text) cell.textContent = text;
      if (!reason) return;
      cell.classList.add("refused");
      cell.title = reason;
      cell.setAttribute("aria-invalid", "true");
      cell.setAttribute("aria-description", reason);
    });
  }
}
