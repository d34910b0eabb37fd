import { newId } from "./ids.js";
import { box, things, thing, svg, route } from "./geometry.js";

const BESIDE = 14;
const KEPT = 5;

// Where the next line goes on sheets whose lines stand in order: where somebody pointed, behind the message that is selected, or
// behind what was said last.
export class TypingPlace {
  constructor(view, selection, line, act, drags) {
    Object.assign(this, { view, selection, line, act });
    this.form = document.getElementById("typing");
    if (!this.form) return;
    line.placing = this;
    this.paper = document.getElementById("typing-mark");
    this.told = document.getElementById("typing-place");
    new MutationObserver(() => this.answered()).observe(this.told, { childList: true });
    document.addEventListener("basalt:selected", () => this.selected());
    document.addEventListener("basalt:drawn", () => this.mark());
    view?.viewport.addEventListener("click", (event) => this.pointed(event));
    drags?.add((event) => this.carry(event));
  }

  // A message that is dragged goes where it is let go, in the order.
  carry(event) {
    const said = event.target.closest("#layer-lines > g.k-message, #layer-labels > g.k-message, #layer-lines > g.k-mark, #layer-labels > g.k-mark");
    if (!said || event.shiftKey) return null;
    const from = this.view.at(event).y;
    const guides = document.getElementById("guides");
    const [x1, y1, x2] = route(document.querySelector(`#layer-lines > g[data-element="${CSS.escape(said.dataset.element)}"]`)).flat();
    let by = 0;
    const move = (moved) => {
      by = this.view.at(moved).y - from;
      guides.replaceChildren(svg("path", { class: "along", d: `M${x1} ${y1 + by}H${x2}` }));
    };
    const end = (_, cancelled) => {
      guides.replaceChildren();
      if (cancelled || Math.abs(by) < 6) return;
      const y = Math.round(y1 + by);
      this.act.post(`bent/${said.dataset.element}`, { points: JSON.stringify([[Math.round(x1), y], [Math.round(x2), y]]) });
    };
    return { move, end };
  }

  put(at = "", behind = "", follows = "") {
    Object.assign(this.form.elements.at, { value: at });
    Object.assign(this.form.elements.behind, { value: behind });
    Object.assign(this.form.elements.follows, { value: follows });
    this.mark();
  }

  // What goes along with a line, under which id it is sent, and what the next one follows.
  next() {
    const id = newId();
    const values = Object.fromEntries(new FormData(this.form));
    // Where the last was refused, the one before it counts.
    this.put("", "", [id, ...values.follows.split(" ")].slice(0, KEPT).join(" ").trim());
    this.answer = null;
    return [values, { id }];
  }

  // A click where nothing is, or beneath a head, says that the next line goes there.
  pointed(event) {
    if (document.body.classList.contains("placing") || document.body.classList.contains("joining")) return;
    if (event.shiftKey || event.target.closest(".handle, #inplace, #layer-lines > g, #layer-labels > g, [data-part]")) return;
    if (event.target.closest("#layer-things > g") && !event.target.closest(".p-lifeline_grip")) return;
    const { y } = this.view.at(event);
    if (!things().some((group) => y > box(group).y && y < box(group).bottom + 20)) return;
    this.put(Math.round(y));
    this.line.focus();
  }

  selected() {
    const id = this.selection.id;
    if (id && !thing(id)) this.put("", id);
  }

  answered() {
    const told = this.told.querySelector("[data-y]");
    if (!told) return;
    this.y = told.dataset.y;
    this.answer = told.dataset.answer;
    this.mark();
  }

  // A line across, with a sign at its beginning, at the height at which the next line goes.
  mark() {
    if (!this.paper) return;
    this.paper.replaceChildren();
    const { at, follows } = this.form.elements;
    const y = Number(at.value || (follows.value && this.y) || 0);
    const boxes = things().map(box);
    if (!y || !boxes.length) return;
    const left = Math.min(...boxes.map((one) => one.x)) - BESIDE;
    const right = Math.max(...boxes.map((one) => one.right)) + BESIDE;
    this.paper.append(
      svg("path", { class: "typing-line", d: `M${left} ${y}H${right}` }),
      svg("path", { class: "typing-sign", d: `M${left - 8} ${y - 5}l8 5l-8 5Z` }),
    );
  }

  // Tab goes on with the likely answer: of what was asked last, or of the message that is selected.
  answering() {
    if (!this.form || !this.answer) return false;
    this.line.begin(this.answer);
    return true;
  }

  answerSelected() {
    const likely = this.form && document.querySelector("#facts [data-likely]");
    if (!likely) return false;
    this.put("", likely.dataset.behind);
    this.line.begin(likely.dataset.likely);
    return true;
  }

  // What was drawn from one to another is said next, there; by the keys, where the next line goes.
  between(from, to, y = null) {
    if (y !== null) this.put(Math.round(y));
    this.line.begin(from === to ? `${from} itself: ` : `${from} asks ${to}: `);
  }
}
