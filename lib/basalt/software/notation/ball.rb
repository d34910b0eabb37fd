# frozen_string_literal: true

module Basalt
  module Software
    module Notation
      # An interface between components: the ball of whoever provides it, and the sockets of those that require it (UML 2.5.1, 10.4.4).
      class Ball
        RADIUS = 9
        SOCKET = 14
        S = Drawing::Shapes
        P = Drawing::Pens

        # @param provided [Boolean] whether there is somebody whose ball it is
        def initialize(interface, provided: true)
          @interface = interface
          @provided = provided
        end

        def size = [(2 * SOCKET) + P.width(P.fit(@interface.name, :name, 160), :name).ceil + 8, 2 * SOCKET]

        # @return [Array] shapes
        def shapes(box)
          x, y = self.class.middle(box)
          name = P.fit(@interface.name, :name, [box.w - (2 * SOCKET), 20].max)
          ball = @provided ? [self.class.circle(x, y, @interface.assumed ? :assumed : :outline)] : []
          ball + [S.text(x + SOCKET + 5, y + 4, name, :name)]
        end

        def self.middle(box) = [box.x + SOCKET, box.cy]

        def self.circle(x, y, pen)
          half = "a#{RADIUS} #{RADIUS} 0 1 0"
          S.path("M#{S.numbers(x - RADIUS, y)}#{half} #{2 * RADIUS} 0#{half} #{-2 * RADIUS} 0Z", pen)
        end

        # @param points [Array] the line, from the interface on
        # @return [Array] what leads on to the ball
        def self.stub(points)
          (x, y), (to_x, to_y) = points.first(2)
          out = SOCKET - RADIUS
          S.polyline([[x, y], [x - ((to_x <=> x) * out), y - ((to_y <=> y) * out)]], :line)
        end

        # @param points [Array] the line, from the interface on
        # @return [Array] the half circle in which the ball lies
        def self.socket(points)
          (x, y), (to_x, to_y) = points.first(2)
          dx, dy = (to_x <=> x), (to_y <=> y)
          cx, cy = x - (dx * SOCKET), y - (dy * SOCKET)
          from, to = [[-dy, dx], [dy, -dx]].map { |ox, oy| [cx + (ox * SOCKET), cy + (oy * SOCKET)] }
          S.path("M#{S.numbers(*from)}A#{SOCKET} #{SOCKET} 0 0 0 #{S.numbers(*to)}", :inner)
        end

        # What lines keep clear of: the ball and its name.
        def obstacles(box)
          x, y = self.class.middle(box)
          [Layout::Box.at(x, y, 2 * RADIUS, 2 * RADIUS), Layout::Box.new(x: x + SOCKET, y: y - 9, w: box.w - (2 * SOCKET), h: 18)]
        end

        # Where lines meet the sockets around the ball.
        class Terminal < Layout::BoxTerminal
          def middle = Ball.middle(box)

          def attachment_points(_toward)
            x, y = middle
            [[-1, 0], [0, -1], [0, 1]].map { |dx, dy| [[(x + (dx * SOCKET)).round, (y + (dy * SOCKET)).round], [dx, dy]] }
          end
        end
      end
    end
  end
end
