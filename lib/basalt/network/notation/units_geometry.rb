# frozen_string_literal: true

module Basalt
  module Network
    module Notation
      # Where the units of a sheet of ports stand: beside each other, their tops in line, in the order in which they came.
      class UnitsGeometry < Drawing::Geometry
        GAP = 48

        def initialize(set, sheet_id, was = nil, altered = nil)
          super
          came = set.placements_on(sheet_id).sort_by(&:ordinal).map(&:element_id).uniq
          @units = came.filter_map { |id| set.element(id) }.select { |thing| thing.kind == "device" }
          @faces = @units.to_h { |unit| [unit.id, UnitFace.new(set, unit, other(unit))] }
        end

        # @return [Hash{String => Hash}] (see Drawing::Geometry#places)
        def places
          x = 0
          @units.to_h do |unit|
            face = @faces.fetch(unit.id)
            [unit.id, { x:, y: 0, w: face.width, h: face.height }].tap { x += face.width + GAP }
          end
        end

        # The cells stand for cables.
        def row_kind = "link"

        # @return [UnitFace]
        def face(unit_id) = @faces.fetch(unit_id)

        # They stand beside each other wherever they are dropped.
        def dropped(_key, _x, _y) = []

        # @raise [Mistake]
        def row_dropped(*) = raise(Mistake, "a cable goes to another port by what is said, such as “swap core-01 1/3 and core-01 1/4”")

        private

        # Two are compared, and not more.
        def other(unit) = @units.length == 2 ? @units.find { |one| one.id != unit.id } : nil
      end
    end
  end
end
