# frozen_string_literal: true

module Basalt
  module Network
    module Notation
      # What stands at a bundle of cables that is drawn as one: how many they are and what they are called in the middle, at each end
      # their ports, of many the first and the last.
      class BundleLabels
        # Ports that are told one by one.
        MOST = 2

        # @param notation [Physical]
        # @param cables [Array<Model::Element>] in order of making
        def initialize(notation, set, cables)
          @notation = notation
          @set = set
          @cables = cables
        end

        # @return [Array<Drawing::Label>] with the roles of the ends of the first
        def labels
          ends = @cables.first.ends.map { |one| [one.role, told(ports(one.target_id))] }.reject { |_, text| text.empty? }
          [*ends, ["middle", middle]].map { |role, text| Drawing::Label.new(role:, text: Drawing::Pens.fit(text, :label, 160)) }
        end

        private

        def ports(unit_id)
          unit = @set.element(unit_id)
          labels = @cables.map { |cable| cable.ends.find { |one| one.target_id == unit_id }.facts["port"] }
          labels.map { |label| label ? @notation.drawn(@set, unit, label) : Physical::UNDECIDED }
        end

        def told(ports)
          return "" if ports.all?(Physical::UNDECIDED)

          ports.length > MOST ? "#{ports.first} … #{ports.last}" : ports.join(", ")
        end

        def middle
          speeds = @cables.map { |cable| cable["speed"] }.uniq
          of = speeds.one? && speeds.first ? speeds.first : "cables"
          ["#{@cables.length} × #{of}", @cables.first["bundle"], *("planned" if @cables.any? { |one| one["planned"] })].join(" ")
        end
      end
    end
  end
end
