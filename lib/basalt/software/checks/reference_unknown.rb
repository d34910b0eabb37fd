# frozen_string_literal: true

module Basalt
  module Software
    module Checks
      # A reference to an interaction that is not there.
      class ReferenceUnknown < InteractionCheck
        rule "reference-unknown", :warning, reads: %w[interaction fragment]

        def findings
          set.of_kind("fragment").filter_map do |one|
            next unless one["operator"] == Interactions::Kinds::REFERENCE
            next if one["refers"] && Interactions::References.named(set, one["refers"])

            finding(one.id, one["refers"] ? "No interaction is called “#{Model::Names.short(one["refers"], 60)}”" : "The reference names " \
              "no interaction",
                    "Whoever follows the reference finds nothing.")
          end
        end
      end
    end
  end
end
