# frozen_string_literal: true

module Basalt
  module Process
    module Checks
      # A store that one process of a level uses alone, which has a level beneath: stores stand on the
      # level on which two processes first share them.
      class StoreTooHigh < FlowCheck
        rule "store-too-high", :hint, reads: %w[store flow process sheet]

        def findings
          sheets("data flow").flat_map do |sheet|
            set.things_on(sheet.id).select { |thing| thing.kind == "store" }.filter_map { |store| found(sheet, store) }
          end
        end

        private

        def found(sheet, store)
          user = alone(sheet, store) or return
          below = set.sheets_about(user.id).find { |one| one.notation_name == "data flow" } or return

          finding(
            [store.id, user.id],
            "#{store.name} is used by #{user.name} alone",
            "A store stands on the level on which two processes first share it. #{below.name} shows what is within #{user.name}.",
            repair: repair("Move it to #{below.name}", *lowered(sheet, below, store, user))
          )
        end

        # The one process that uses the store, of those on the sheet and everywhere but within it.
        def alone(sheet, store)
          users =
            set
              .relations_of(store.id, "flow")
              .flat_map(&:targets)
              .uniq
              .map { |id| set.element(id) }
              .select { |one| one.kind == "process" }
          here = users.select { |one| set.shown?(sheet.id, one.id) }
          here.first if here.one? && here.first.id != sheet.subject_id && users.all? { |one| Levels.within?(set, one.id, here.first.id) }
        end

        # Off this level, with what flows between the two, and onto the one beneath.
        def lowered(sheet, below, store, user)
          flows = set.relations_between(store.id, user.id, "flow")
          [
            Change::TakeOff.new(sheet_id: sheet.id, element_id: store.id),
            *flows.map { |flow| Change::Remove.new(id: flow.id) },
            Change::Show.new(sheet_id: below.id, element_id: store.id)
          ]
        end
      end
    end
  end
end
