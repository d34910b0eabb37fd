# frozen_string_literal: true

module Basalt
  module Process
    module Checks
      # A row of the activity table that gives something which flows on no sheet.
      class ActivityOnNoSheet < FlowCheck
        rule "activity-on-no-sheet", :hint, reads: %w[activity flow party information item sheet]

        def findings
          return [] if flows.empty?

          names = flows.flat_map { |flow| [flow.name, *Composition.parts(set, flow.name)] }.to_set(&:downcase)
          Acts
            .sorted(set.of_kind("activity"))
            .select { |one| one["gives"] && crossing?(one) && !names.include?(English::Phrases.bare(one["gives"]).downcase) }
            .map do |one|
              finding(
                [one.id, one.target("who")],
                "#{one["gives"]} flows on no sheet",
                "#{name(one.target("who"))} #{one.name}, and no context and no level shows what is given.",
                repair: mend(one)
              )
            end
        end

        private

        def standing = @standing ||= SystemBoundary.new(set)
        def outside_id?(id) = standing.of(set.element(id))&.outside?

        # Between somebody outside and somebody inside.
        def crossing?(one) = Acts.receiver(one) && outside_id?(one.target("who")) != outside_id?(Acts.receiver(one))

        def mend(one)
          process =
            sheets("context")
              .filter_map { |sheet| sheet.subject_id && set.element(sheet.subject_id) }
              .find { |subject| subject.kind == "process" } or return
          ends =
            (
              if outside_id?(one.target("who"))
                [["from", one.target("who")], ["to", process.id]]
              else
                [["from", process.id], ["to", Acts.receiver(one)]]
              end
            )
          repair("Add it to #{process.name}", Change::Add.new(kind: "flow", name: English::Phrases.bare(one["gives"]), ends:))
        end
      end
    end
  end
end
