import { View } from "./view.js";
import { Pieces } from "./pieces.js";
import { Selection } from "./selection.js";
import { Guides } from "./guides.js";
import { Drags } from "./drags.js";
import { Drag } from "./drag.js";
import { Band } from "./band.js";
import { Place } from "./place.js";
import { InPlace } from "./inplace.js";
import { PartRows } from "./part_rows.js";
import { Connect } from "./connect.js";
import { Handles } from "./handles.js";
import { Clipboard } from "./clipboard.js";
import { Overview } from "./overview.js";
import { Source } from "./source.js";
import { Beside } from "./beside.js";
import { Grid } from "./grid.js";
import { Margin } from "./margin.js";
import { Reading } from "./reading.js";
import { Findings } from "./findings.js";
import { Travel } from "./travel.js";
import { Trail } from "./trail.js";
import { TwoPoints } from "./two_points.js";
import { StatementLine } from "./statement_line.js";
import { TypingPlace } from "./typing_place.js";
import { Standing } from "./standing.js";
import { Player } from "./player.js";
import { Walk } from "./walk.js";
import { Keys } from "./keys.js";
import { Growing } from "./growing.js";
import { Act } from "./act.js";
import { Turning, Questions } from "./turning.js";
import { closeBandsOutside } from "./rail.js";
import { sendOnce } from "./forms.js";
import { rowGrid } from "./row_grid.js";

const page = document.getElementById("sheet-page");
closeBandsOutside();
sendOnce();
rowGrid();
new Source();
// Other pages than a sheet's have no line on which a statement could be mended.
const acting = document.getElementById("source-page")?.dataset.source ?? document.querySelector("[data-acts]")?.dataset.acts;
if (acting) new Act(acting, { input: { value: "" }, close() {}, begin() {}, send() {} }).resume();
if (page) {
  const line = new StatementLine();
  const act = new Act(page.dataset.sheet, line);
  line.act = act;
  const view = document.getElementById("viewport") ? new View() : null;
  const selection = new Selection(act, view);
  const parts = { view, selection, line, act };
  // The view and the selection stay where somebody is at work.
  const held = () => act.outbox.busy || parts.inplace?.isOpen || document.body.classList.contains("dragging");
  const pieces = new Pieces(view, selection, held);
  new Growing(act, held);
  let drags = null;
  if (view) {
    // In this order each is asked whether a press of the pointer begins something of its own.
    drags = new Drags(view.viewport);
    new Band(view, selection, drags);
    parts.rows = new PartRows(view, selection, act, drags);
    parts.connect = new Connect(view, selection, act, line, drags);
    parts.handles = new Handles(view, selection, act, drags);
    new Standing(view, act);
    new Drag(view, selection, new Guides(view), act, drags);
    parts.inplace = new InPlace(view, selection, act);
    parts.rows.inplace = parts.inplace;
    parts.place = new Place(view, selection, act, parts.inplace, line);
    line.haunted = (groups) => view.embrace(groups.filter((group) => group.dataset.box));
    parts.travel = new Travel(view, selection);
    new Overview(view);
    new TwoPoints(view, act);
    new Beside(selection);
  }
  parts.typing = new TypingPlace(view, selection, line, act, drags);
  if (view) parts.player = new Player(view, act);
  if (view) parts.walk = new Walk(view, act);
  parts.trail = new Trail(selection, view);
  new Findings(act);
  new Reading(act, selection);
  new Turning(act);
  new Questions();
  parts.grid = new Grid(act, selection);
  pieces.grid = parts.grid;
  pieces.margin = new Margin(act, selection);
  new Clipboard(selection, act);
  new Keys(parts);
  act.resume();
}
