# frozen_string_literal: true

module Basalt
  module Software
    module Notation
      # The looks of the lines of UML: what they end in and what is said at them.
      module LineLooks
        ENDS = Drawing::LineEnds
        DASHED = ["realisation", "dependency", "inclusion", "extension", "comment line"].freeze
        # Lines whose end at what is more general is shared with others.
        TREES = ["generalisation", "realisation", "actor generalisation", "use case generalisation"].freeze

        module_function

        def pen(line) = DASHED.include?(line.kind) || line.assumed ? :planned_line : :line

        # @return [Array] shapes at the ends of a line
        def ends(line, route)
          back = route.reverse
          case line.kind
          when *TREES
            [ENDS::Triangle.path(back)]
          when "aggregation", "composition"
            [ENDS::Diamond.path(route, filled: line.kind == "composition"), *navigable(line, route, back)]
          when "association"
            navigable(line, route, back)
          when "dependency", "inclusion", "extension"
            [ENDS::OpenArrow.path(back)]
          else
            []
          end
        end

        def navigable(line, route, back)
          whole = line.kind == "association" ? 0 : ENDS::Diamond::LONG
          [[line.ends.first, route, whole], [line.ends.last, back, 0]].flat_map do |joined, points, out|
            case joined.facts["navigable"]
            when "yes" then [ENDS::OpenArrow.path(points, out:)]
            when "no" then ENDS::OpenArrow.cross(points, out: out + 12)
            else []
            end
          end
        end

        # @return [Array<Drawing::Label>]
        def labels(line)
          [*middle(line), *[line.ends.first, line.ends.last].filter_map { |joined| ending(line, joined) }]
        end

        def middle(line)
          stereotype, constraint = line.facts.values_at("stereotype", "constraint")
          words = [line["called"], ("«#{stereotype}»" if stereotype), ("{#{constraint}}" if constraint)].compact
          words.empty? ? [] : [Drawing::Label.new(role: "middle", text: Drawing::Pens.fit(words.join(" "), :verb, 240), style: :verb)]
        end

        def ending(line, joined)
          words = joined.facts.values_at("role", "multiplicity").compact.join(" ")
          return if words.empty?

          Drawing::Label.new(role: joined.role, text: Drawing::Pens.fit(words, :verb, 160), style: :verb, out: reach(line, joined))
        end

        # How far the sign at an end reaches, px.
        def reach(line, joined)
          whole = line.kind != "association" && joined.equal?(line.ends.first) ? ENDS::Diamond::LONG : 0
          whole + (joined.facts["navigable"] ? ENDS::OpenArrow::LONG + 2 : 0)
        end
      end
    end
  end
end
