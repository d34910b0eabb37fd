# frozen_string_literal: true

module Basalt
  module Data
    module Logical
      # Three ways: what stands, how it was derived, how it is derived now. What a person altered stands; what only the source
      # altered follows.
      class FactMerge
        include MergeSteps

        # @param wanted [Table] that the element belongs to, or is
        def initialize(wanted)
          @wanted = wanted
        end

        # @param element [Model::Element] that stands
        # @param wanted [Hash{String => Object}] facts as they are derived now
        # @return [Array<Change::Step>]
        def steps(element, wanted, title, key)
          wanted = wanted.transform_values { |value| value == false ? nil : value }
          last = Refinement.derived(element).slice(*wanted.keys)
          moved = wanted.reject { |fact, value| last[fact].to_s == value.to_s }
          return [] if moved.empty?

          kept, follow =
            moved
              .partition { |fact, value| current(element, fact).to_s != last[fact].to_s && current(element, fact).to_s != value.to_s }
              .map(&:to_h)
          [*following(element, follow, wanted, title, key), *keeping(element, kept, title, key)]
        end

        private

        def current(element, fact) = fact == "name" ? element.name : element[fact]

        def following(element, follow, wanted, title, key)
          words = "#{title}: #{follow.map { |fact, value| "#{fact} #{value == true ? "yes" : value || "none"}" }.join(", ")}"
          return [] if follow.empty?

          [
            step(:alter, key, words) do |draft|
              next unless draft.element(element.id)

              follow.each { |fact, value| set(draft, element.id, fact, value) }
              note(draft, element.id, wanted)
            end
          ]
        end

        # How it is derived now, whatever stands.
        def note(draft, id, wanted)
          element = draft.element(id)
          facts = Refinement.derived(element).merge(wanted)
          set(draft, id, "as_derived", facts.values.map { |value| value.to_s.gsub("|", "¦") }.join("|"))
        end

        def keeping(element, kept, title, key)
          kept.map do |fact, value|
            Change::Step.new(
              act: :keep,
              key: "keep #{@wanted.thread} #{key} #{fact}",
              words: "#{title}: #{fact} #{current(element, fact) || "none"} was refined and stays; it would be #{value || "none"} now",
              change: nil
            )
          end
        end
      end
    end
  end
end
