# frozen_string_literal: true

module Basalt
  module Network
    module Checks
      # A unit that is not called as the project calls its units.
      class HostNameBreaksRule < CableCheck
        rule "host-name-breaks-rule", :hint, reads: %w[device cabling ownership], each: "device"

        def about(unit)
          pattern = Cabling::Rules.of(set)&.[]("host names") or return []
          return [] if Cabling::HostNames.fits?(pattern, unit.name) || Owners.of(set, unit).any?

          [
            finding(
              unit.id,
              "#{unit.name} is not called after #{pattern}",
              "Names that follow one pattern can be sorted, searched and guessed; this project settled on one, in which a stands for " \
              "letters and 9 for a digit."
            )
          ]
        end
      end
    end
  end
end
