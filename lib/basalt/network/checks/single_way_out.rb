# frozen_string_literal: true

module Basalt
  module Network
    module Checks
      # A thing or circuit whose loss cuts others off from the outside.
      class SingleWayOut < Basalt::Checks::Check
        rule "single-way-out", :warning, reads: %w[attachment link device outside place subnet]
        NAMED = 5

        def findings
          analysis[WaysOut]
            .single
            .sort_by { |id, _| set.element(id).ordinal }
            .map do |id, cut|
              culprit = set.element(id)
              finding(
                id,
                "#{title(culprit)} is a single way out",
                "Without it #{names(cut)} #{cut.one? ? "loses" : "lose"} the outside.",
                also: cut
              )
            end
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
