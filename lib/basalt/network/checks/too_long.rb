# frozen_string_literal: true

module Basalt
  module Network
    module Checks
      # A cable longer than its medium carries.
      class TooLong < CableCheck
        rule "too-long", :error, reads: READS, each: "link"

        def about(cable)
          length = length(cable)
          most = length && cable["medium"] && Cabling::Rules.most(set, cable["medium"]) or return []
          return [] if length <= most

          [
            finding(
              cable.id,
              "#{title(cable)} is too long: #{"about " unless cable["length"]}#{length} m of #{cable["medium"]}, where #{most} m carry",
              "Beyond that the signal is too weak, and the link fails or comes and goes.",
              repair: farther(cable)
            )
          ]
        end

        private

        # What was measured, or what was estimated along the trays.
        def length(cable) = cable["length"] || cable["estimate"]

        def farther(cable)
          better = %w[multimode single-mode].find { |medium| Cabling::Rules.most(set, medium) >= length(cable) && takes?(cable, medium) }
          better && repair("Make it #{better}", Change::Set.new(id: cable.id, fact: "medium", value: better, was: cable["medium"]))
        end

        def takes?(cable, medium)
          ends(cable).all? do |one, _, ports|
            port = port(one, ports)
            port.nil? || port.group.pluggable || Cabling::Medium.fits?(port.takes, medium)
          end
        end
      end
    end
  end
end
