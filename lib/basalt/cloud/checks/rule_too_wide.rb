# frozen_string_literal: true

module Basalt
  module Cloud
    module Checks
      # A rule lets very much in from anybody.
      class RuleTooWide < CloudCheck
        rule "rule-too-wide", :warning, reads: [Kinds::RULE, Kinds::GROUP, Kinds::RESOURCE]

        # More ports than any service needs.
        MOST = 1000

        def findings
          set.of_kind(Kinds::RULE).select { |rule| wide?(rule) }.map do |rule|
            finding([rule.id, rule.target("holder")], "#{Rules.words(set, rule)}: that is more than a service needs",
                    "What is behind it is kept by nothing but luck as soon as something else listens there.")
          end
        end

        private

        # A list for subnets lets answers in by a rule of its own.
        def wide?(rule)
          return false if rule["action"] == "denies" || rule["direction"] != "in" || set.element(rule.target("holder")).kind != Kinds::GROUP

          anybody = rule["anybody"] || (rule["block"] && Addresses.prefix(rule["block"]).length.zero?)
          anybody && TrafficText.traffic(rule["protocol"], rule["ports"]).port_count > MOST
        end
      end
    end
  end
end
