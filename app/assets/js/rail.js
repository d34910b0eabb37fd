// A band's list of sheets closes when something else is clicked or Escape is pressed.
export function closeBandsOutside() {
  const close = (except) =>
    document.querySelectorAll(".band[open], .exports[open], .columns[open], .row-acts[open]").forEach((band) => {
      if (band !== except) band.open = false;
    });
  document.addEventListener("click", (event) => close(event.target.closest(".band, .exports, .columns, .row-acts")));
  document.addEventListener("keydown", (event) => {
    if (event.key === "Escape") close(null);
  });
}
