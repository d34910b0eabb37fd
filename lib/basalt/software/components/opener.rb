# frozen_string_literal: true

module Basalt
  module Software
    module Components
      # The parts of a system as a sheet that can be made for it: it shows what stands around the system and the parts that are there.
      class Opener
        NOTATION = "components"
        KINDS = %w[system component].freeze

        def name = "its components"

        # The process in the middle of a context opens too, behind what it opens into as a process.
        def opens?(set, element) = KINDS.include?(element.kind) || (element.kind == "process" && centre?(set, element))

        def title(element) = "#{element.name}: components"

        def draw(draft, element)
          known = draft.sheets_about(element.id).find { |sheet| sheet.notation_name == NOTATION }
          return known.id if known

          around = Surroundings.new(draft, element.id)
          neighbours = around.lines.map { |line| draft.element(line.neighbour_id) }.uniq(&:id)
          Openers.sheet(draft, element, title(element), NOTATION, [element, *around.components, *neighbours])
        end

        private

        def centre?(set, element) = set.sheets_about(element.id).any? { |sheet| sheet.notation_name == "context" }
      end
    end
  end
end
