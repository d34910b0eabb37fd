# frozen_string_literal: true

module Basalt
  module Network
    module Checks
      # A thing or circuit whose loss cuts others off from the outside.
      class SingleWayOut < Basalt::Checks::Check
        LOOKED_AT = %w[device link place subnet].freeze
        rule "single-way-out", :warning, reads: %w[attachment link device outside place subnet], each: LOOKED_AT, wide: true
        NAMED = 5

        # A line far away may be the other way out.
        def self.reached(analysis, touched) = WaysOut.joined(analysis.set, touched.ids)

        def among(elements)
          lines = elements.select { |one| one.kind == "link" }
          attachments = elements.select { |one| one.kind == "subnet" }.flat_map { |subnet| set.relations_of(subnet.id, "attachment") }
          @single = WaysOut.new(set, lines + attachments).single
        end

        def about(culprit)
          cut = @single.key?(culprit.id) && @single[culprit.id] or return []
          [
            finding(
              culprit.id,
              "#{title(culprit)} is a single way out",
              "Without it #{names(cut)} #{cut.one? ? "loses" : "lose"} the outside.",
              also: cut
            )
          ]
        end

        private

        def title(culprit)
          return culprit.name unless culprit.relation?

          ends = culprit.targets.map { |id| set.element(id).name }
          "The #{culprit["circuit"] ? "#{culprit["circuit"]} circuit" : "line"} from #{ends.join(" to ")}"
        end

        def names(ids)
          names = ids.map { |id| set.element(id) }.sort_by(&:ordinal).map(&:name)
          return English.list(names) if names.length <= NAMED

          "#{names.first(NAMED).join(", ")} and #{names.length - NAMED} more"
        end
      end
    end
  end
end
