# frozen_string_literal: true

module Basalt
  module Network
    module Floors
      # A place on a floor, or how large something is there: metres to the right and towards the viewer, from the upper left corner of
      # the room, written +3.2/4+. Kept to the centimetre.
      Point =
        Value.of(:x, :y) do
          self::WORD = %r{\A\d{1,4}(?:\.\d{1,2})?/\d{1,4}(?:\.\d{1,2})?\z}
          # m
          self::MOST = 2000

          # @param text [String, nil]
          # @return [Point, nil]
          def self.of(text)
            return unless text.to_s.match?(self::WORD)

            restore(text.split("/").map { |number| number.to_f.round(2) })
          end

          # For a field: the same, as it is kept.
          #
          # @raise [Model::BadFact]
          def self.position(text) = checked(text, "a place on a floor", "3.2/4").to_s

          # @raise [Model::BadFact]
          def self.extent(text)
            size = checked(text, "how large it is on the floor", "0.6/1")
            raise Model::BadFact, "what stands on a floor is larger than nothing" if [size.x, size.y].min <= 0

            size.to_s
          end

          def self.checked(text, what, example)
            point = of(text.strip)
            raise Model::BadFact, "#{what} is told in metres, such as #{example}, not “#{Model::Names.short(text)}”" unless point
            raise Model::BadFact, "a floor reaches #{self::MOST} m at most" if [point.x, point.y].max > self::MOST

            point
          end
          private_class_method :checked

          # Several, along which a tray runs.
          #
          # @raise [Model::BadFact]
          def self.path(text)
            points = text.split.map { |word| of(position(word)) }
            raise Model::BadFact, "a tray runs along two points or more, such as 0.5/1 8/1" if points.uniq.length < 2

            points.join(" ")
          end

          # @return [Array<Point>] none where nothing is said
          def self.along(text) = text.to_s.split.filter_map { |word| of(word) }

          def +(other) = with(x: x + other.x, y: y + other.y)
          def -(other) = with(x: x - other.x, y: y - other.y)
          def turned = with(x: y, y: x)
          def to_s = [x, y].map { |number| number == number.to_i ? number.to_i : number.round(2) }.join("/")

          # @return [Float] m by right angles
          def distance(other) = (x - other.x).abs + (y - other.y).abs
        end
    end
  end
end
