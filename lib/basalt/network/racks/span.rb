# frozen_string_literal: true

module Basalt
  module Network
    module Racks
      # What a thing takes of a rack: the units from +low+ to +high+, of which U1 is the first, at the +faces+ (+:front+, +:rear+) and
      # +sides+ (+:left+, +:right+) that it fills. Units are of EIA/ECA-310-E, 44.45 mm each.
      Span =
        Value.of(:low, :high, :faces, :sides) do
          self::FACES = %i[front rear].freeze
          self::SIDES = %i[left right].freeze

          # @param thing [Model::Element]
          # @param unit [Integer, nil] the lowest unit; the one that it is said to be at where none is given
          # @return [Span, nil] nil where it is at none
          def self.of(thing, unit = thing["at unit"])
            return unless unit

            faces = thing["half depth"] ? [thing["rear"] ? :rear : :front] : self::FACES
            sides = thing["half"] ? [thing["half"].to_sym] : self::SIDES
            restore([unit, unit + height(thing) - 1, faces, sides])
          end

          # @return [Integer] units that a thing is high; 1 where it is not said
          def self.height(thing) = thing["height"] || 1

          def units = low..high

          # @param other [Span]
          def overlap?(other)
            low <= other.high && other.low <= high && faces.intersect?(other.faces) && sides.intersect?(other.sides)
          end

          # @param height [Integer] of a rack
          def within?(height) = low >= 1 && high <= height
        end
    end
  end
end
