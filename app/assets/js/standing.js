import { thing } from "./geometry.js";

// What is listed as not placed yet is dragged to where it is to stand.
export class Standing {
  constructor(view, act) {
    Object.assign(this, { view, act });
    document.getElementById("facts")?.addEventListener("pointerdown", (event) => this.begin(event));
    document.addEventListener("basalt:drawn", () => this.drop());
  }

  begin(event) {
    const row = event.target.closest("[data-stand]");
    if (!row || event.button || event.target.closest("button")) return;
    event.preventDefault();
    const ghost = document.createElement("div");
    ghost.className = "standing";
    ghost.textContent = row.dataset.name;
    document.body.append(ghost);
    const move = (moved) => { ghost.style.translate = `${moved.clientX + 8}px ${moved.clientY + 8}px`; };
    const end = (ended) => {
      ghost.remove();
      document.removeEventListener("pointermove", move);
      document.removeEventListener("pointerup", end);
      document.removeEventListener("pointercancel", end);
      if (ended.type === "pointerup") this.put(row, ended);
    };
    document.addEventListener("pointermove", move);
    document.addEventListener("pointerup", end);
    document.addEventListener("pointercancel", end);
    move(event);
  }

  put(row, event) {
    if (!document.elementFromPoint(event.clientX, event.clientY)?.closest("#viewport")) return;
    const { x, y } = this.view.at(event);
    this.act.post(`stood/${row.dataset.stand}`, { x: Math.round(x), y: Math.round(y) }, { label: row.dataset.name });
  }

  // What stands by now is listed no more.
  drop() {
    document.querySelectorAll("[data-stand]").forEach((row) => { if (thing(row.dataset.stand)) row.remove(); });
  }
}
