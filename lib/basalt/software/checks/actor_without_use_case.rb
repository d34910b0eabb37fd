# frozen_string_literal: true

module Basalt
  module Software
    module Checks
      # An actor that takes part in nothing, and is a kind of none that does.
      class ActorWithoutUseCase < Basalt::Checks::Check
        rule "actor-without-use-case",
             :warning,
             reads: ["actor", "use case", "involvement", "actor generalisation"],
             each: "actor",
             near: 2

        # What something is a kind of may be far.
        def self.given(set) = set.of_kind("actor generalisation", "involvement").map(&:targets)

        def about(actor)
          kin = [actor.id, *Generalising.above(set, actor.id), *Generalising.below(set, actor.id)]
          return [] if kin.any? { |id| taking_part?(id) }

          [finding(actor.id, "#{actor.name} takes part in nothing", "Whoever takes part in no use case is not an actor of the system.")]
        end

        private

        def taking_part?(id) = set.relations_of(id, "involvement").any? { |line| set.element(line.target("use case")).kind == "use case" }
      end
    end
  end
end
