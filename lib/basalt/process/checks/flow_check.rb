# frozen_string_literal: true

module Basalt
  module Process
    module Checks
      # What the checks of sheets with flows ask for.
      class FlowCheck < Basalt::Checks::Check
        private

        def sheets(*notations) = set.sheet_list.select { |sheet| notations.include?(sheet.notation_name) }
        def drawn = sheets("context", "data flow")
        def name(id) = set.element(id).name
        def drawn?(id) = drawn.any? { |sheet| set.shown?(sheet.id, id) }
        def flows = @flows ||= set.of_kind("flow")
        def ends(flow) = flow.ends.map { |one| set.element(one.target_id) }
        def outside?(element) = %w[party system].include?(element.kind)
      end
    end
  end
end
