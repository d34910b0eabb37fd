import { View } from "./view.js";
import { Pieces } from "./pieces.js";
import { Selection } from "./selection.js";
import { Drag } from "./drag.js";
import { StatementLine } from "./statement_line.js";
import { Keys } from "./keys.js";
import { closeBandsOutside } from "./rail.js";

const page = document.getElementById("sheet-page");
closeBandsOutside();
if (page) {
  const view = document.getElementById("viewport") ? new View() : null;
  const selection = new Selection(page.dataset.sheet, view);
  const line = new StatementLine();
  new Pieces(view, selection);
  if (view) new Drag(view, selection);
  new Keys(view, selection, line);
}
