# frozen_string_literal: true

module Basalt
  module Network
    module Checks
      # A cable or ports of which no speed is common.
      class SpeedDoesNotFit < CableCheck
        rule "speed-does-not-fit", :warning, reads: READS, each: "link"

        def about(cable)
          met = met(cable)
          speeds = met.map { |_, _, port| port.speed }
          return [] if Cabling::Speed.fit?(cable["speed"], *speeds)

          [
            finding(
              [cable.id, *met.map { |_, unit, _| unit.id }],
              "#{title(cable)} has no speed that all of it can have",
              "The link does not come up: #{said(cable, met)}.",
              repair: other_speed(cable, speeds) || other_port(cable, met)
            )
          ]
        end

        private

        def said(cable, met)
          English.list([*("the cable is for #{cable["speed"]}" if cable["speed"]),
                        *met.filter_map { |one, unit, port| "#{at(one, unit)} does #{port.speed}" if port.speed }])
        end

        def other_speed(cable, speeds)
          common = speeds.length == cable.ends.length && Cabling::Speed.common(*speeds) or return
          repair("Make it #{common}", Change::Set.new(id: cable.id, fact: "speed", value: common, was: cable["speed"]))
        end

        def other_port(cable, met) = met.last&.then { |one, unit, _| another_port(cable, one, unit) }
      end
    end
  end
end
