# frozen_string_literal: true

module Basalt
  module Software
    module Notation
      # What both notations of interactions share: lines in order tell what is on the sheet.
      module Scripted
        def scripted? = true
        def script(set, sheet_id) = Interactions::Script.of(set, sheet_id)
        def script_kinds = Interactions::Script::KINDS
        def rescript(draft, sheet_id, said, gone) = Interactions::Rewriting.new(draft, sheet_id, said, gone).settle
        def in_order(set, sheet_id, list) = Interactions::Items.in_order(set, sheet_id, list)
        def own_subject(set, sheet) = Interactions::Scope.own(set, sheet)
        def begun(draft, sheet) = Interactions::Scope.of(draft, sheet.id)
        def within?(kind) = kind == "participant"
        def examples = ["participant Operator as an actor", "Operator asks console: acknowledge(alarm)", "console answers Operator: done"]
        def chips = [%w[participant p]]
      end
    end
  end
end
