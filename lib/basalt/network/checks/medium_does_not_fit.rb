# frozen_string_literal: true

module Basalt
  module Network
    module Checks
      # A cable of one medium at a port of another, or between ports of two. A port that takes a module takes what the module takes.
      class MediumDoesNotFit < CableCheck
        rule "medium-does-not-fit", :error, reads: READS, each: "link"

        def about(cable)
          met = met(cable)
          wrong = met.find { |_, _, port| !Cabling::Medium.fits?(takes(port), cable["medium"]) }
          return [at_port(cable, met, *wrong)] if wrong

          between(cable, met)
        end

        private

        def takes(port) = port.group.pluggable ? nil : port.takes

        def at_port(cable, met, one, unit, port)
          finding(
            [cable.id, unit.id],
            "#{cable["medium"].capitalize} does not go into #{at(one, unit)}, which takes #{port.takes}",
            "The cable that is bought from the schedule cannot be plugged in.",
            repair: other_medium(cable, met) || another_port(cable, one, unit)
          )
        end

        # Where both ports take the same, the cable is what is wrong.
        def other_medium(cable, met)
          media = met.map { |_, _, port| takes(port) }
          return unless media.length == cable.ends.length && media.uniq.one? && media.first

          repair("Make it #{media.first}", Change::Set.new(id: cable.id, fact: "medium", value: media.first, was: cable["medium"]))
        end

        def between(cable, met)
          return [] unless met.length == 2 && !Cabling::Medium.fits?(*met.map { |_, _, port| takes(port) })

          one, unit, port = met.last
          [
            finding(
              [cable.id, *met.map { |_, end_unit, _| end_unit.id }],
              "#{title(cable)} joins a port for #{met.first.last.takes} to one for #{port.takes}",
              "No one cable goes into both.",
              repair: another_port(cable, one, unit)
            )
          ]
        end
      end
    end
  end
end
