import { newId } from "./ids.js";

// Rows beyond this many are shown when the server has taken them.
const MOST_SHOWN = 500;

// What is done with a range of cells of the register: emptied, filled down, copied to and from a spreadsheet.
export class Ranges {
  constructor(grid) {
    this.grid = grid;
  }

  clear() {
    const { grid } = this;
    const [rows, keys] = grid.range();
    grid.send(
      rows
        .flatMap((row) => keys.map((key) => [row, key, ""]))
        .filter(([row, key]) => {
          const cell = grid.at(row, key);
          return cell && cell.textContent && !cell.classList.contains("computed");
        }),
    );
  }

  fillDown() {
    const { grid } = this;
    const [rows, keys] = grid.range();
    grid.send(
      rows
        .slice(1)
        .flatMap((row) => keys.map((key) => [row, key, grid.at(rows[0], key).textContent]))
        .filter(([row, key]) => grid.row(row).dataset.element && !grid.at(row, key).classList.contains("computed")),
    );
  }

  copy(event) {
    const { grid } = this;
    if (grid.input || !grid.cell) return;
    event.preventDefault();
    event.stopPropagation();
    const [rows, keys] = grid.range();
    event.clipboardData.setData(
      "text/plain",
      rows.map((row) => keys.map((key) => grid.at(row, key).textContent.replace(/[\t\n]/g, " ")).join("\t")).join("\n"),
    );
    grid.act.say(`Copied ${rows.length * keys.length} cells`);
  }

  // Rows beyond the last become new ones.
  paste(event) {
    const { grid } = this;
    if (grid.input || !grid.cell) return;
    event.preventDefault();
    event.stopPropagation();
    const lines = event.clipboardData
      .getData("text/plain")
      .replace(/\r\n?/g, "\n")
      .replace(/\n$/, "")
      .split("\n")
      .map((line) => line.split("\t"));
    const rows = grid.rows().map((row) => row.dataset.row);
    const keys = grid.keys();
    const top = rows.indexOf(grid.range()[0][0]);
    const left = keys.indexOf(grid.range()[1][0]);
    const cells = [];
    const fresh = lines.slice(Math.max(0, rows.length - 1 - top)).map(() => null);
    const own = (down) => {
      if (rows[top + down] && !grid.row(rows[top + down]).classList.contains("new")) return rows[top + down];
      const index = down - (rows.length - 1 - top);
      fresh[index] ??= fresh.length > MOST_SHOWN ? `new-${newId()}` : grid.news.another();
      return fresh[index];
    };
    lines.forEach((line, down) =>
      line.forEach((text, right) => {
        const key = keys[left + right];
        if (!key || grid.head(key).dataset.type === "computed") return;
        cells.push([own(down), key, text]);
      }),
    );
    grid.anchor = grid.where(grid.cell);
    grid.far = grid.anchor;
    grid.cell.focus();
    grid.send(cells);
  }
}
