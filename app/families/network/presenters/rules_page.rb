# frozen_string_literal: true

module Web
  module Families
    module Network
      module Presenters
        # What a project has settled about its cabling.
        class RulesPage
          RULES = Basalt::Network::Cabling::Rules
          # Roles whose labels are often shortened; those of others are said as a statement.
          SHORTENED = ["switch", "router", "firewall", "patch panel", "server"].freeze
          Entry = Basalt::Value.of(:name, :label, :value, :usual, :hint)
          private_constant :RULES

          # @param rules [Basalt::Model::Element, nil]
          def initialize(rules)
            @rules = rules
          end

          # @return [Array<String>] facts that the form fills in
          def self.facts
            ["numbering", "host names", *SHORTENED.map { |role| RULES.labels(role) }, *RULES::LONGEST.keys.map { |one| RULES.longest(one) }]
          end

          # @return [Array<Array(String, String)>] what a port is, and what it is called
          def self.samples(numbering)
            [
              ["port 24", numbering.label("24")],
              ["port 24, member 2", numbering.label("24", member: 2)],
              ["port 24, slot 3", numbering.label("24", slot: 3)],
              ["port 24, member 2, slot 3", numbering.label("24", member: 2, slot: 3)]
            ]
          end

          # @return [Array<Entry>]
          def entries
            [
              entry("numbering", "ports are numbered", Basalt::Network::Cabling::Numbering::USUAL,
                    "MEMBER, SLOT and PORT, and what stands between"),
              entry("host names", "units are called after", "a-99", "a stands for letters, 9 for a digit"),
              *SHORTENED.map { |role| entry(RULES.labels(role), "on drawings, ports of a #{role}", "PORT", "where it is to be shorter") },
              *RULES::LONGEST.map { |medium, metres| entry(RULES.longest(medium), "longest #{medium}, m", metres.to_s, "metres") }
            ]
          end

          private

          def entry(name, label, usual, hint) = Entry.new(name:, label:, value: @rules&.[](name), usual:, hint:)
        end
      end
    end
  end
end
