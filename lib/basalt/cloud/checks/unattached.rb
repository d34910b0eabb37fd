# frozen_string_literal: true

module Basalt
  module Cloud
    module Checks
      # What is there for others, and is there for nobody.
      class Unattached < CloudCheck
        rule "unattached", :warning, reads: READS

        def findings
          governing = set.of_kind(Kinds::GOVERNANCE).map { |one| one.target("by") }.to_set
          resources.filter_map do |thing|
            words, reason = why(thing, governing)
            finding(thing.id, "#{thing.name} #{words}", reason) if words
          end
        end

        private

        # @return [Array(String, String), nil]
        def why(thing, governing)
          case thing["service"]
          when *Services::PAPERS then ["governs no subnet",
                                       "Its rules are read and kept up for nothing."] unless governing.include?(thing.id)
          when Services::GATEWAY, Services::TRANSLATION then way(thing)
          when "load balancer" then ["targets nothing", "Whoever asks it gets no answer."] if targets(thing).empty?
          when "private attachment" then ["joins no two networks",
                                          "Nothing can be sent through it."] unless scape.landscape.peerings.key?(thing.id)
          end
        end

        def way(thing)
          return if scape.landscape.gateways.key?(thing.id)

          where = thing["service"] == Services::GATEWAY ? "network" : "subnet"
          ["is in no #{where}", "#{a(thing).capitalize} leads out of the #{where} that it is in."]
        end

        def targets(thing) = out_of(thing)
      end
    end
  end
end
