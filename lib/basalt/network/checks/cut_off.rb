# frozen_string_literal: true

module Basalt
  module Network
    module Checks
      # Things that hang together and have no way to the outside at all, where there is one.
      class CutOff < Basalt::Checks::Check
        rule "cut-off", :warning, reads: %w[attachment link device outside place subnet], each: %w[device place subnet], wide: true
        NAMED = 5

        def self.given(set) = set.of_kind("outside").any? { |outside| set.elements.any_by?(:target, outside.id) }

        # A line far away may be the way.
        def self.reached(analysis, touched) = WaysOut.joined(analysis.set, touched.ids)

        def among(_elements)
          @islands = analysis[Islands].by_first
        end

        def about(first)
          ids = @islands[first.id] or return []
          return [] if meant?(ids)

          names = ids.map { |id| set.element(id).name }
          [
            finding(
              first.id,
              "#{names.length == 1 ? "#{names[0]} is" : "#{named(names)} are"} cut off from the outside",
              "Nothing that forwards leads from there to any provider or the internet. Where that is meant, say of the subnet that it is " \
              "isolated.",
              also: ids
            )
          ]
        end

        private

        def named(names) = names.length <= NAMED ? English.list(names) : "#{names.first(NAMED).join(", ")} and #{names.length - NAMED} more"

        # On isolated subnets alone nobody is meant to reach anything else.
        def meant?(ids)
          subnets = ids.flat_map { |id| set.relations_of(id, "attachment") }.map { |one| set.element(one.target("subnet")) }.uniq
          subnets.any? && subnets.all? { |subnet| subnet["isolated"] }
        end

        # The islands of a set, each by the first of its things.
        class Islands
          def initialize(set)
            @set = set
          end

          # @return [Hash{String => Array<String>}]
          def by_first
            @by_first ||=
              WaysOut
                .new(@set)
                .islands
                .reject(&:empty?)
                .to_h { |ids| ids.sort_by { |id| @set.element(id).ordinal }.then { |sorted| [sorted.first, sorted] } }
          end
        end
      end
    end
  end
end
