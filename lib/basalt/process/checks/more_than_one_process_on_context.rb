# frozen_string_literal: true

module Basalt
  module Process
    module Checks
      # A context sheet with several processes.
      class MoreThanOneProcessOnContext < FlowCheck
        rule "more-than-one-process-on-context", :warning, reads: %w[process system sheet]

        def findings
          sheets("context").filter_map do |sheet|
            processes = set.things_on(sheet.id).select { |thing| thing.kind == "process" }
            next if processes.length < 2

            about = processes.find { |one| one.id == sheet.subject_id } || processes.first
            others = processes.reject { |one| one.id == about.id }
            finding(
              [others.first.id, about.id, *others.drop(1).map(&:id)],
              "#{sheet.name} shows #{English.count(processes.length, "process", "processes")}",
              "A context has one in the middle; the others are of the level beneath.",
              repair:
                repair("Leave #{about.name} alone", *others.map { |one| Change::TakeOff.new(sheet_id: sheet.id, element_id: one.id) })
            )
          end
        end
      end
    end
  end
end
