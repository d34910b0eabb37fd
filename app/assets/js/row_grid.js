// Rows that are typed, or pasted from a spreadsheet, into a table of fields; a last row is always empty.
const grid = () => document.querySelector("[data-row-grid] tbody");
const fields = (row) => [...row.querySelectorAll("input")];

function another(rows) {
  const fresh = rows.lastElementChild.cloneNode(true);
  const number = rows.children.length + 1;
  fields(fresh).forEach((field) => {
    field.value = "";
    field.setAttribute("aria-label", field.getAttribute("aria-label").replace(/\d+$/, number));
  });
  rows.append(fresh);
  return fresh;
}

function keepOneEmpty(rows) {
  if (fields(rows.lastElementChild).some((field) => field.value)) another(rows);
}

function spread(event, rows) {
  const lines = event.clipboardData.getData("text/plain").replace(/\r\n?/g, "\n").replace(/\n$/, "").split("\n");
  const cells = lines.map((line) => line.split("\t"));
  if (cells.length === 1 && cells[0].length === 1) return;
  event.preventDefault();
  let row = event.target.closest("tr");
  const from = fields(row).indexOf(event.target);
  cells.forEach((texts) => {
    row ??= another(rows);
    texts.forEach((text, index) => { const field = fields(row)[from + index]; if (field) field.value = text; });
    row = row.nextElementSibling;
  });
  keepOneEmpty(rows);
  event.target.dispatchEvent(new Event("input", { bubbles: true }));
}

function go(event) {
  const by = { Enter: 1, ArrowDown: 1, ArrowUp: -1 }[event.key];
  const row = event.target.closest("tr");
  if (!by || event.isComposing) return;
  event.preventDefault();
  const next = by > 0 ? row.nextElementSibling : row.previousElementSibling;
  if (next) fields(next)[fields(row).indexOf(event.target)].focus();
}

export function rowGrid() {
  const rows = grid();
  if (!rows) return;
  rows.addEventListener("input", () => keepOneEmpty(rows));
  rows.addEventListener("paste", (event) => spread(event, rows));
  rows.addEventListener("keydown", go);
}
