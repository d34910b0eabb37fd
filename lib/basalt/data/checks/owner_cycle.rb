# frozen_string_literal: true

module Basalt
  module Data
    module Checks
      # Weak entities that own each other in a circle.
      class OwnerCycle < Basalt::Checks::Check
        rule "owner-cycle", :error, reads: %w[entity dependence]

        def findings
          set
            .of_kind("dependence")
            .filter_map do |dependence|
              weak, owner = %w[weak owner].map { |role| set.element(dependence.target(role)) }
              next unless first_of_circle?(dependence)

              finding(
                [weak.id, owner.id],
                "#{weak.name} and #{owner.name} own each other",
                "Each would be told from others by the other, and in the end by nothing.",
                repair:
                  repair(
                    "Let #{weak.name} not depend on #{owner.name}",
                    Change::Remove.new(id: dependence.id),
                    *standing(weak, dependence)
                  )
              )
            end
        end

        private

        # One finding for a circle: at the dependence that was made last.
        def first_of_circle?(dependence)
          circle = circle(dependence)
          circle && circle.max_by(&:ordinal).id == dependence.id
        end

        def circle(dependence, path = [dependence])
          return path if path.last.target("owner") == dependence.target("weak")

          Dependence
            .of(set, path.last.target("owner"))
            .reject { |one| path.include?(one) }
            .each do |one|
              found = circle(dependence, path + [one])
              return found if found
            end
          nil
        end

        # Without any other owner it is weak no more.
        def standing(weak, dependence)
          Dependence.of(set, weak.id).any? { |one| one.id != dependence.id } ? [] : Dependence.standing_alone(set, weak)
        end
      end
    end
  end
end
