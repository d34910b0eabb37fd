# frozen_string_literal: true

module Basalt
  module Software
    module Checks
      # A sheet of components that shows parts of several systems.
      class MoreThanOneCentre < Basalt::Checks::Check
        rule "more-than-one-centre", :warning, reads: %w[sheet component system process]

        def findings
          set.sheet_list.select { |sheet| sheet.notation_name == "components" }.filter_map do |sheet|
            shown = set.things_on(sheet.id).select { |one| one.kind == "component" }
            centres = shown.filter_map { |one| centre(one) }.uniq
            next if centres.length < 2

            names = English.list(centres.map { |id| set.element(id).name })
            why = "A sheet of components is about one system; what is of another stands outside of it."
            finding(centres, "“#{sheet.name}” shows parts of #{names}", why)
          end
        end

        private

        # The system or the process that a component is in.
        def centre(component)
          step = set.element(component.container_id.to_s)
          step = set.element(step.container_id.to_s) while step && %w[component package].include?(step.kind)
          step&.id
        end
      end
    end
  end
end
