# frozen_string_literal: true

module Basalt
  module Software
    module Notation
      # Where an actor could stand: in a column beside whatever else there is, on the left where it starts something, and level with
      # what it takes part in.
      class ActorPlaces
        ASIDE = 110
        STEP = 24
        ROWS = 80

        # @param size [Array(Numeric, Numeric)] of the actor, px
        def initialize(set, sheet_id, actor, size)
          @set = set
          @sheet_id = sheet_id
          @actor = actor
          @w, @h = size
          @lines = set.relations_of(actor.id, "involvement")
          others = set.things_on(sheet_id).reject { |one| one.kind == "actor" && one.container_id.nil? }
          @around = Layout::Box.around(others.filter_map { |one| set.placement(sheet_id, one.id)&.box })
        end

        # @return [Enumerator::Lazy<Array(Numeric, Numeric)>] top left corners, the best first
        def each = heights.flat_map { |y| sides.map { |x| [x.round, y.round] } }

        private

        def sides
          return [0, ASIDE * 2] unless @around

          both = [@around.x - ASIDE - @w, @around.right + ASIDE]
          @lines.empty? || @lines.any? { |line| line["starts"] } ? both : both.reverse
        end

        # From where it would be level with its use cases, up and down by turns.
        def heights
          level = wanted - (@h / 2.0)
          (0..ROWS).lazy.flat_map { |row| row.zero? ? [level] : [level + (row * STEP), level - (row * STEP)] }
        end

        def wanted
          found = @lines.filter_map { |line| @set.placement(@sheet_id, line.target("use case"))&.box&.cy }
          return found.sum / found.length if found.any?

          @around ? @around.y + (@h / 2.0) : 0
        end
      end
    end
  end
end
