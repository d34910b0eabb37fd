# frozen_string_literal: true

module Web
  # The keys of the sheet page, as its list and the README tell them.
  module KeyList
    ALL = [
      ["/", "statement line; there / and a chip's letter pick a kind"],
      ["1 2 3", "the drawing alone (again: with the margin), into the register, reading"],
      ["Enter, Delete, Alt up, down", "with a row of a thing chosen: edit it as text, take it away, move it"],
      ["R", "a new row of the thing that is selected, such as a feature of a class"],
      ["4 5", "further faces of the sheet, where it has any"],
      ["Alt arrows", "walk along the connections, or to the nearest thing"],
      ["Tab", "with a message selected, or in the empty statement line: its likely answer"],
      ["up, down", "with messages selected: earlier, later"],
      ["left, right", "while a scenario is played: back, on; Escape ends it"],
      ["W", "walk the journeys of the sheet, or end it; right, left: on, back"],
      ["Enter", "name and facts in place"],
      ["arrows", "move what is selected by 8, with Shift by 1; with nothing selected, the view"],
      ["L", "join what is selected to another thing"],
      %w[D duplicate],
      ["O", "collapse or open a boundary"],
      ["Ctrl C, X, V", "copy, cut, paste"],
      ["A", "select all of its kind"],
      ["C", "select what is connected"],
      ["Ctrl A", "select everything"],
      ["Ctrl arrows", "put what is selected in line at that side"],
      ["Ctrl Shift arrows", "even gaps across or down"],
      ["Delete", "take off the sheet; with Shift, delete from the model"],
      ["P", "pin or release"],
      ["T", "tidy what is selected, or the sheet"],
      ["F", "fit what stands on the sheet; again, the whole paper"],
      ["+ -", "larger, smaller"],
      ["N", "next finding"],
      ["Alt up, down", "in a table with an order: the row up or down"],
      ["[ ]", "back up to where you came from, or the sheet above; down into what is selected"],
      ["Ctrl Z", "undo"],
      ["Ctrl Shift Z", "redo"],
      ["Escape", "stop, or select nothing"],
      ["?", "this list"]
    ].freeze
  end
end
