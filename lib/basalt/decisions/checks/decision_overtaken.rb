# frozen_string_literal: true

module Basalt
  module Decisions
    module Checks
      # A decision about something that went, or became another, since.
      class DecisionOvertaken < Basalt::Checks::Check
        rule "decision-overtaken", :warning, reads: Model::Catalogue.kinds.keys, each: Kinds::DECISION, near: 3

        def about(decision)
          return [] unless About.stands?(set, decision)

          gone(decision) + About.of(set, decision.id).select { |one| About.altered?(set, one) }.map { |one| altered(decision, one) }
        end

        private

        def gone(decision)
          names = decision["gone"].to_s.split(About::BETWEEN)
          return [] if names.empty?

          [finding(decision.id, "#{decision.name} was about #{English.list(names)}, which went since",
                   "Either it no longer matters, or it is about what came in its place.",
                   repair: repair("It no longer is", Change::Set.new(id: decision.id, fact: "gone", value: nil)))]
        end

        def altered(decision, relation)
          thing = set.element(relation.target("thing"))
          finding([decision.id, thing.id], "#{About.title(set, thing.id)} is otherwise than when #{decision.name} was decided",
                  "Whether what was chosen still holds, somebody who knows the reason has to say.",
                  repair: repair("It still holds", Change::Set.new(id: relation.id, fact: "as_decided", value: About.state(set, thing))))
        end
      end
    end
  end
end
