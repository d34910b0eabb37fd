const STEPS = { ArrowLeft: [0, -1], ArrowRight: [0, 1], ArrowUp: [-1, 0], ArrowDown: [1, 0] };

// A matrix whose cells are turned from state to state: what a press means shows at once, and goes to the server in its turn.
export class Turning {
  constructor(act) {
    this.act = act;
    const place = document.getElementById("face");
    place?.addEventListener("click", (event) => {
      const cell = event.target.closest("[data-turn]");
      if (cell) this.turn(cell);
    });
    place?.addEventListener("keydown", (event) => this.walk(event));
  }

  turn(cell) {
    const states = JSON.parse(cell.closest("[data-states]").dataset.states);
    const [state, sign] = states[(states.findIndex(([one]) => one === cell.dataset.state) + 1) % states.length];
    cell.dataset.state = state;
    cell.textContent = sign;
    cell.setAttribute("aria-label", `${cell.dataset.label}: ${state || "nothing"}`);
    this.act.post(cell.dataset.turn, { state }, { label: cell.dataset.label });
  }

  walk(event) {
    const cell = event.target.closest("[data-turn]");
    const step = STEPS[event.key];
    if (!cell || !step) return;
    event.preventDefault();
    const row = cell.closest("tr");
    const rows = [...row.parentNode.children];
    const column = [...row.children].indexOf(cell.parentNode) + step[1];
    rows[rows.indexOf(row) + step[0]]?.children[column]?.querySelector("[data-turn]")?.focus();
  }
}

// Questions that are answered one after the other: what was answered goes, and the next one is ready to be typed into.
export class Questions {
  constructor() {
    document.getElementById("facts")?.addEventListener("submit", (event) => {
      const asked = event.target.closest(".questions > li");
      if (!asked) return;
      const next = asked.nextElementSibling?.querySelector("input") ?? asked.previousElementSibling?.querySelector("input");
      setTimeout(() => {
        asked.hidden = true;
        next?.focus();
      });
    });
  }
}
