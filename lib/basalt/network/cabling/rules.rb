# frozen_string_literal: true

module Basalt
  module Network
    module Cabling
      # What a project has settled about its cabling, kept as one element.
      module Rules
        KIND = "cabling"
        # m, by medium, where a project says nothing else: copper of ISO/IEC 11801-1 (a channel of 100 m); fibre as far as
        # IEEE 802.3 lets 10 Gbit/s go over OM3 (10GBASE-SR) and over single mode (10GBASE-LR).
        LONGEST = { "copper" => 100, "multimode" => 300, "single-mode" => 10_000, "coax" => 185 }.freeze

        def self.longest(medium) = "longest #{medium}"

        # How ports of units of a role are written on drawings, where that is shorter than what they are called.
        def self.labels(role) = "labels of #{role}"

        FIELDS = [
          Model::Field.new(
            name: "numbering",
            type: :read,
            reader: Numbering.method(:checked),
            along: Relabelling.method(:numbering)
          ),
          Model::Field.new(name: "rack units", type: :choice, choices: ["from below", "from above"]),
          Model::Field.new(name: "host names", type: :read, reader: HostNames.method(:checked)),
          *Roles::ALL.map { |role| Model::Field.new(name: labels(role), type: :read, reader: Numbering.method(:checked)) },
          *LONGEST.keys.map { |medium| Model::Field.new(name: longest(medium), type: :integer, range: 1..200_000) }
        ].freeze

        module_function

        # @return [Model::Element, nil]
        def of(set) = set.elements.ids_by(:kind, KIND).first&.then { |id| set.element(id) }

        # @param unit [Model::Element]
        # @param label [String] of one of its ports
        # @return [String] the same as drawings write it
        def drawn(set, unit, label)
          pattern = of(set)&.[](labels(unit["role"])) or return label
          port = Ports.of(set, unit).find(label)
          port ? Numbering.new(pattern).label(port.name, member: port.member, slot: port.slot) : label
        end

        # @return [Integer, nil] m that a cable of the medium may have; nil where it is not decided
        def most(set, medium) = of(set)&.[](longest(medium)) || LONGEST[medium]
      end
    end
  end
end
