# frozen_string_literal: true

module Basalt
  module Statements
    # What is said of a thing as it stands on a sheet.
    module OnSheet
      module_function

      def take_off(context, thing)
        draft = on_sheet(context, "a sheet has something to take off it")
        draft.apply(Change::TakeOff.new(sheet_id: context.sheet_id, element_id: thing.id))
      end

      # @param name [String, nil] nil takes the emphasis away
      def emphasise(context, thing, name)
        draft = on_sheet(context, "on a sheet something can be emphasised")
        draft.apply(Change::Emphasise.new(sheet_id: context.sheet_id, element_id: thing.id, name:))
      end

      def collapse(context, thing, closed)
        draft = on_sheet(context, "on a sheet something can be collapsed")
        draft.apply(Change::Collapse.new(sheet_id: context.sheet_id, element_id: thing.id, closed:))
      end

      # @return [Change::Draft]
      # @raise [Mistake] before the first sheet
      def on_sheet(context, words)
        context.sheet_id ? context.draft : raise(Mistake, "only #{words}")
      end
    end
  end
end
