# frozen_string_literal: true

module Basalt
  module Process
    module Notation
      # A process as a circle with its number and name.
      class Bubble < ProcessSymbol
        LEAST = 92
        MOST = 150
        LINE = 15

        def size
          longest = @process.name.to_s.split.map { |word| P.width(word, :name) }.max || 0
          side = [LEAST, longest + 34, (P.width(@process.name.to_s, :name) * 0.42) + 56].max.clamp(LEAST, MOST).ceil
          [side, side]
        end

        # @return [Array] shapes
        def shapes(box)
          radius = box.w / 2.0
          [circle(box, radius), *texts(box, radius)]
        end

        private

        def circle(box, radius)
          S.path(
            "M#{S.numbers(box.x, box.cy)}a#{S.numbers(radius, radius)} 0 1 0 #{S.n box.w} 0a#{S.numbers(radius, radius)} 0 1 0 " \
            "#{S.n(-box.w)} 0Z",
            outline
          )
        end

        def texts(box, radius)
          name = P.lines(@process.name, :name, (radius * 1.62), most: 3)
          lines = name.map { |line| [line, :name] }
          lines.unshift([@number, :identifier]) if @number
          P.lines(@performer, :identifier, radius * 1.5, most: 2).each { |line| lines.push([line, :identifier]) }
          top = box.cy - ((lines.length - 1) * LINE / 2.0) + 4
          lines.each_with_index.map { |(text, style), index| S.text(box.cx, top + (index * LINE), text, style, :middle) }
        end
      end
    end
  end
end
