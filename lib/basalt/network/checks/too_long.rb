# frozen_string_literal: true

module Basalt
  module Network
    module Checks
      # A cable longer than its medium carries.
      class TooLong < CableCheck
        rule "too-long", :error, reads: READS, each: "link"

        def about(cable)
          most = cable["length"] && cable["medium"] && Cabling::Rules.most(set, cable["medium"]) or return []
          return [] if cable["length"] <= most

          [
            finding(
              cable.id,
              "#{title(cable)} is too long: #{cable["length"]} m of #{cable["medium"]}, where #{most} m carry",
              "Beyond that the signal is too weak, and the link fails or comes and goes.",
              repair: farther(cable)
            )
          ]
        end

        private

        def farther(cable)
          better = %w[multimode single-mode].find { |medium| Cabling::Rules.most(set, medium) >= cable["length"] && takes?(cable, medium) }
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
