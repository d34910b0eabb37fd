# frozen_string_literal: true

module Basalt
  module Network
    module Racks
      # A rack and what stands in it, by units.
      class Elevation
        # Units of a rack of which nothing is said.
        USUAL = 42

        # @param set [Model::WorkingSet, Model::PinnedSet, Change::Draft]
        # @param rack [Model::Element] a place that is a rack
        def initialize(set, rack)
          @rack = rack
          @things = set.contents_of(rack.id).select { |one| one.kind == "device" }
        end

        # @param other [Elevation]
        # @return [Boolean] whether nothing of it is otherwise there
        def same?(other)
          rack.equal?(other.rack) && things.length == other.things.length && things.zip(other.things).all? { |one, two| one.equal?(two) }
        end

        attr_reader :rack, :things

        def height = rack["height"] || USUAL

        # @return [Array<Model::Element>] those that are at a unit, from below
        def mounted = @mounted ||= @things.select { |one| spans.key?(one.id) }.sort_by { |one| [spans[one.id].low, one.ordinal] }

        # @return [Array<Model::Element>] those that are in it, and at no unit yet
        def waiting = @waiting ||= @things.reject { |one| spans.key?(one.id) }

        # @param thing [Model::Element]
        # @return [Span, nil]
        def span(thing) = spans[thing.id]

        # @return [Array<Array(Model::Element, Model::Element)>] pairs that cannot both stand there, the later made last
        def overlaps
          mounted
            .combination(2)
            .select { |one, other| span(one).overlap?(span(other)) }
            .map { |pair| pair.sort_by(&:ordinal) }
            .sort_by { |pair| pair.map(&:ordinal).reverse }
        end

        # @return [Array<Model::Element>] those of which a part is beyond the rack
        def beyond = mounted.reject { |thing| span(thing).within?(height) }

        # @return [Integer] units in which nothing stands at all
        def free = gaps.sum(&:count)

        # @return [Array<Range>] runs of units in which nothing stands, from below
        def gaps
          taken = mounted.flat_map { |thing| span(thing).units.to_a }.to_set
          (1..height).reject { |unit| taken.include?(unit) }.slice_when { |one, other| other != one + 1 }.map { |run| run.first..run.last }
        end

        # @return [Integer] units of the largest run in which nothing stands
        def largest_gap = gaps.map(&:count).max || 0

        # @param thing [Model::Element] that may stand in it already, which does not count then
        # @param unit [Integer] the lowest that it would be at
        # @return [Array<Model::Element>] what is in its way there
        def in_the_way(thing, unit)
          wanted = Span.of(thing, unit)
          mounted.select { |other| other.id != thing.id && span(other).overlap?(wanted) }
        end

        # @return [Boolean] whether it could stand there
        def room?(thing, unit) = Span.of(thing, unit).within?(height) && in_the_way(thing, unit).empty?

        # Where a thing could stand: in the smallest gap that takes it, so that large ones are kept; from below.
        #
        # @return [Integer, nil] the lowest unit it would be at
        def place_for(thing)
          tall = Span.height(thing)
          gap = gaps.select { |run| run.count >= tall }.min_by { |run| [run.count, run.first] }
          gap&.first || (1..height).find { |unit| room?(thing, unit) }
        end

        # @param direction [Integer] +1+ upwards, +-1+ downwards
        # @return [Integer, nil] the nearest unit in that direction at which it could stand
        def next_place(thing, direction)
          from = thing["at unit"] or return
          to = direction.positive? ? height : 1
          from.step(to, direction).drop(1).find { |unit| room?(thing, unit) }
        end

        # Puts a thing at a unit and makes room for it: what is in its way goes on in one direction, and pushes what it meets there.
        #
        # @param thing [Model::Element]
        # @param unit [Integer] the lowest that it is to be at
        # @param direction [Integer] +1+ upwards, +-1+ downwards
        # @return [Hash{String => Integer}] the unit of each thing that is moved, by id; of that one too
        # @raise [Mistake] where there is no room
        def pushed(thing, unit, direction)
          moved = { thing.id => Span.of(thing, unit) }
          raise Mistake, "#{thing.name} does not fit into #{rack.name} at U#{unit}" unless moved[thing.id].within?(height)

          others = mounted.reject { |other| other.id == thing.id }
          others.sort_by { |other| direction.positive? ? span(other).low : -span(other).high }
            .each { |other| push(moved, other, direction) }
          moved.transform_values(&:low)
        end

        # @return [Integer] W that all of it takes, as far as it is said
        def power = things.sum { |thing| thing["power"] || 0 }

        # @return [Integer] kg of all of it, as far as it is said
        def weight = things.sum { |thing| thing["weight"] || 0 }

        private

        def spans = @spans ||= @things.to_h { |thing| [thing.id, Span.of(thing)] }.compact

        # One after the other in the direction of the push, so that what went on before stands where it will.
        #
        # @param moved [Hash{String => Span}] what went on so far, by id; this one is added where it has to
        def push(moved, other, direction)
          span = span(other)
          while (met = moved.each_value.find { |one| one.overlap?(span) })
            tall = span.high - span.low
            low = direction.positive? ? met.high + 1 : met.low - tall - 1
            span = span.with(low:, high: low + tall)
          end
          return if span == span(other)

          refuse_push(other, direction) unless span.within?(height)
          moved[other.id] = span
        end

        def refuse_push(other, direction)
          towards = direction.positive? ? "up" : "down"
          raise Mistake, "#{other.name} is in the way, and there is no room for it further #{towards} in #{rack.name}"
        end
      end
    end
  end
end
