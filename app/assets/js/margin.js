import { Grid } from "./grid.js";

// The margin tells of what is selected; the parts of a thing stand there as a table like the register's.
export class Margin {
  constructor(act, selection) {
    Object.assign(this, { act, selection });
    this.place = document.getElementById("facts");
    this.held = new Map();
    new MutationObserver(() => this.furnish()).observe(this.place, { childList: true, subtree: true });
    this.furnish();
  }

  grids() { return [...this.held.values()]; }

  furnish() {
    this.held.forEach((grid, place) => { if (!place.isConnected) this.held.delete(place); });
    this.place.querySelectorAll(".parts-table").forEach((place) => {
      if (!this.held.has(place) && place.querySelector("table")) this.held.set(place, new Grid(this.act, this.selection, place));
    });
  }
}
