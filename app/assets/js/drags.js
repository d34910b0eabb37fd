import { drag } from "d3-drag";
import { select } from "d3-selection";

// A move of less than so many px is a click.
const CLICK = 3;

// Drags that begin on one part of the page. Those who could begin one are asked in turn: each looks at the press and answers
// with what happens while the pointer moves and when it is let go, or with nothing.
export class Drags {
  constructor(place) {
    this.begins = [];
    const behaviour = drag()
      .container(document.documentElement)
      .clickDistance(CLICK)
      .filter((event) => this.take(event))
      .on("drag", ({ sourceEvent }) => this.work.move?.(point(sourceEvent)))
      .on("end", ({ sourceEvent }) => this.work.end?.(point(sourceEvent), sourceEvent.type === "touchcancel"));
    first(select(place), behaviour);
  }

  // Whoever is added first is asked first.
  add(begin) {
    this.begins.push(begin);
    return this;
  }

  take(event) {
    this.work = null;
    if (event.button) return false;
    this.begins.some((begin) => (this.work = begin(event)));
    return Boolean(this.work);
  }
}

// Whoever drags something does not draw the paper along: the view looks at a press after us.
function first(place, behaviour) {
  const presses = ["mousedown.zoom", "touchstart.zoom"];
  const views = presses.map((press) => place.on(press));
  presses.forEach((press) => place.on(press, null));
  place.call(behaviour);
  presses.forEach((press, index) => views[index] && place.on(press, views[index]));
}

function point(event) {
  return event.changedTouches?.[0] ?? event;
}
