# frozen_string_literal: true

module Basalt
  module Network
    module Notation
      # One unit drawn with all its ports: a head with its name, a line for each kind of ports with how many are free, and beneath it
      # a cell for each port with what is plugged in. Runs of free ports share a cell.
      class UnitFace
        COLUMNS = 6
        # px
        CELL = 92
        USED = 40
        FREE = 22
        HEAD = 46
        LINE = 26
        SIDE = 14
        GAP = 4
        CORNER = 8
        APART = { missing: "not among its ports", undecided: "port not decided", unsaid: "which ports it has is not said" }.freeze
        S = Drawing::Shapes
        P = Drawing::Pens

        # Cells beside each other, and how high they are.
        Row = Value.of(:cells, :height)
        # A cell with the first column it takes, and how many.
        Placed = Value.of(:cell, :column, :span)

        # @param set [Model::WorkingSet, Model::PinnedSet, Change::Draft]
        # @param unit [Model::Element]
        # @param other [Model::Element, nil] the unit that it is compared with
        def initialize(set, unit, other = nil)
          @set = set
          @unit = unit
          @face = Cabling::Faceplate.new(set, unit)
          @comparison = other && Cabling::Comparison.new(set, unit, other)
        end

        def width = (2 * SIDE) + (COLUMNS * CELL)

        def height
          (HEAD + sections.sum { |section, rows| LINE + (LINE * lines_above(section)) + rows.sum { |row| row.height + GAP } } + SIDE).round
        end

        # @param box [Layout::Box]
        # @param line [String] what it is, in words
        # @param pen [Symbol] of the outline
        # @return [Array] shapes
        def shapes(box, line:, pen:)
          @y = box.y + HEAD
          @x = box.x + SIDE
          [
            S.rect(box.x, box.y, box.w, box.h, pen),
            S.glyph(@unit.noun, box.x + SIDE, box.y + 11),
            S.text(box.x + SIDE + 34, box.y + 20, P.fit(@unit.name, :name, box.w - 80), :name),
            S.text(box.x + SIDE + 34, box.y + 35, P.fit(line, :identifier, box.w - 80), :identifier),
            *sections.flat_map { |section, rows| section(section, rows, box) }
          ]
        end

        # @return [Array<Symbol>] what of it the legend tells
        def marks
          cells = sections.flat_map { |section, _| section.cells }
          ends = cells.flat_map(&:ends)
          [
            *(:free if cells.any?(&:free?)),
            *(:used if ends.any?),
            *ends.map { |one| CablePens.of(one.cable) }.uniq,
            *(:planned if ends.any? { |one| one.cable["planned"] }),
            *(:differs if differs?(cells))
          ]
        end

        private

        def differs?(cells)
          return false unless @comparison

          cells.any? { |cell| cell.first && @comparison.lone_use?(cell.first) } ||
            @face.sections.any? { |section| section.group && @comparison.lone?(section.group) }
        end

        # Sections with the rows of their cells.
        def sections = @sections ||= @face.sections.map { |section| [section, rows(section.cells)] }

        # A member of a stack is told where it begins.
        def lines_above(section) = heading(section) ? 1 : 0

        def heading(section)
          at = @face.sections.index(section)
          before = at.zero? ? nil : @face.sections[at - 1]
          return member(section) if section.member && section.member != before&.member
        end

        def member(section)
          own = @face.sections.select { |one| one.member == section.member }
          "member #{section.member}: #{own.sum(&:free)} of #{English.count(own.sum(&:count), "port")} free"
        end

        def rows(cells)
          rows = [[]]
          cells.each do |cell|
            span = cell.run? ? 2 : 1
            rows << [] if rows.last.sum(&:span) + span > COLUMNS
            rows.last << Placed.new(cell:, column: rows.last.sum(&:span), span:)
          end
          rows.reject(&:empty?).map { |row| Row.new(cells: row, height: row.all? { |placed| placed.cell.free? } ? FREE : USED) }
        end

        def section(section, rows, box)
          shapes = []
          if (words = heading(section))
            shapes << S.path("M#{S.numbers(box.x, @y + GAP)}H#{S.n box.right}", :thread) << S.text(@x, @y + 22, words, :heading)
            @y += LINE
          end
          shapes.concat(told(section, box))
          @y += LINE
          shapes + rows.flat_map { |row| cells(row) }
        end

        def told(section, box)
          words = P.fit(words(section), :identifier, box.w - 200)
          [
            S.text(@x, @y + 17, words, section.apart == :missing ? :wrong : :identifier),
            *(section.group && section.count > 1 ? [S.text(box.right - SIDE - GAP, @y + 17, count(section), :identifier, :end)] : []),
            *(section.group && @comparison&.lone?(section.group) ? corner(box.right - SIDE - GAP - 120, @y + 8) : [])
          ]
        end

        def count(section) = "#{section.free} of #{section.count} free"

        def words(section)
          return APART.fetch(section.apart) if section.apart

          group = section.group
          slot = section.slot && "slot #{section.slot}: #{section.card || (group ? "ports" : "empty")}"
          said = group && [*(group.use if group.power?), group.names.to_s, *group.taking].join(" ")
          [slot, said].compact.join(", ")
        end

        def cells(row)
          top = @y
          @y += row.height + GAP
          row.cells.flat_map do |placed|
            x = @x + (placed.column * CELL)
            cell(placed.cell, x, top, (placed.span * CELL) - GAP, row.height)
          end
        end

        def cell(cell, x, y, w, h)
          return free(cell, x, y, w, h) if cell.free?

          pen = cell.ends.any? { |one| one.cable["planned"] } ? :planned : :outline
          shapes = [S.rect(x, y, w, h, pen), *label(cell, x, y, w), *leads(cell, x, y, w, h)]
          cell.ends.map(&:cable).uniq(&:id).one? ? [S.part(cell.ends.first.cable.id, [*shapes, S.rect(x, y, w, h, :row)])] : shapes
        end

        def free(cell, x, y, w, h)
          words = cell.run? ? "#{drawn(cell.first)} to #{drawn(cell.last)}: #{cell.count} free" : drawn(cell.first)
          [S.rect(x, y, w, h, :cell), S.text(x + 6, y + 15, P.fit(words, :identifier, w - 14), :identifier), *differing(cell, x + w, y)]
        end

        def label(cell, x, y, w)
          words = cell.first ? drawn(cell.first) : Physical::UNDECIDED
          [S.text(x + 6, y + 15, P.fit(words, :label, w - 20), :label), *differing(cell, x + w, y)]
        end

        # Where it leads, and over what.
        def leads(cell, x, y, w, h)
          first, *more = cell.ends
          wrong = more.any? && !cell.first.nil?
          words = more.any? ? "#{cell.ends.length} cables" : far(first, w - 12)
          [
            S.text(x + 6, y + 30, words, wrong ? :wrong : :member),
            S.polyline([[x + 4, y + h - 4], [x + w - 4, y + h - 4]], CablePens.of(first.cable))
          ]
        end

        # The port is told whole.
        def far(one, room)
          joined = one.others.first
          port = joined.facts["port"] && " #{joined.facts["port"]}"
          left = room - (port ? P.width(port, :member) : 0)
          P.fit("#{P.fit(@set.element(joined.target_id).name, :member, [left, room / 3].max)}#{port}", :member, room)
        end

        def differing(cell, right, top) = @comparison && cell.first && @comparison.lone_use?(cell.first) ? corner(right, top) : []

        # A corner filled.
        def corner(right, top) = [S.fill("M#{S.numbers(right - CORNER, top)}H#{S.n right}V#{S.n top + CORNER}Z", P::AMETHYST)]

        def drawn(label) = Cabling::Rules.drawn(@set, @unit, label)
      end
    end
  end
end
