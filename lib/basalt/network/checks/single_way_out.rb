# frozen_string_literal: true

module Basalt
  module Network
    module Checks
      # A thing or circuit whose loss cuts others off from the outside: as things are today, and as they will be when what is
      # planned is there.
      class SingleWayOut < Basalt::Checks::Check
        LOOKED_AT = %w[device link place subnet].freeze
        # What tells how many members a unit has.
        MODELS = [Cabling::Models::KIND, Cabling::Models::RELATION].freeze
        rule "single-way-out", :warning, reads: %w[attachment link device outside place subnet] + MODELS, each: LOOKED_AT, wide: true
        NAMED = 5

        # A line far away may be the other way out.
        def self.reached(analysis, touched)
          return analysis.set.of_kind(*LOOKED_AT).to_set(&:id) if touched.kinds.intersect?(MODELS)

          WaysOut.joined(analysis.set, touched.ids)
        end

        def among(elements)
          lines = elements.select { |one| one.kind == "link" }
          attachments = elements.select { |one| one.kind == "subnet" }.flat_map { |subnet| set.relations_of(subnet.id, "attachment") }
          all = lines + attachments
          @later = WaysOut.new(set, all).single
          @today = WaysOut.planned?(set, all) ? WaysOut.new(set, all, planned: false).single : @later
        end

        def about(culprit)
          today, later = [@today, @later].map { |single| single.fetch(culprit.id, []) }
          return [] if today.empty? && later.empty?

          cut = today | later
          [
            finding(
              culprit.id,
              "#{title(culprit)} #{today.empty? ? "will be" : "is"} a single way out",
              "Without it #{names(cut)} #{cut.one? ? "loses" : "lose"} the outside#{when_of(today, later)}.",
              also: cut
            )
          ]
        end

        private

        def when_of(today, later)
          return ", once what is planned is there" if today.empty?

          later.empty? ? ", until what is planned is there" : ""
        end

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
