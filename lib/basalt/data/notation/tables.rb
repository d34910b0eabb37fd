# frozen_string_literal: true

module Basalt
  module Data
    module Notation
      # Tables with their columns and constraints; a line runs from the row of a foreign key to
      # the row of the key that it refers to.
      class Tables < Drawing::Notation
        MARKS = { "reference" => [:line], "inheritance" => [:inheritance], "view" => [:view], Physical::Kinds::OBJECT => [:object] }.freeze

        def name = "tables"
        def walkable? = false
        def things = ["table", "view", Physical::Kinds::OBJECT]
        def parts = %w[column check addition]
        def rows = %w[table]
        def seldom = ["inheritance", "addition", Physical::Kinds::OBJECT]
        def part_words(unparser, part) = Tabling.words(unparser, part)
        def lines = %w[reference inheritance]
        def examples = ["table crews", "crews has crew_id bigint key, code varchar(12) required", "crews is unique by code"]
        def chips = [%w[table b], %w[view v]]

        def size(set, thing) = box(set, thing).size
        def thing_shapes(set, thing, placement) = box(set, thing).shapes(placement.box)

        def line_shapes(set, reference, route, labels)
          return super + [Drawing::LineEnds::Triangle.path(route.reverse)] if reference.kind == "inheritance"

          columns = reference.targets("column").map { |id| set.element(id) }
          least = columns.any? && columns.all? { |column| column["required"] } ? 1 : 0
          referring = Cardinality.new(least: needed?(set, reference) ? 1 : nil, most: once?(set, reference) ? 1 : Float::INFINITY)
          super + Drawing::LineEnds::CrowsFoot.shapes(route, referring) +
            Drawing::LineEnds::CrowsFoot.shapes(route.reverse, Cardinality.new(least:, most: 1))
        end

        # Lines to one key share their last run.
        def passing(route) = route.length > 3 ? route[1..-2] : super

        def legend
          [
            ["key", :text, "#", "#"],
            ["foreign key", :text, ">", ">"],
            ["required", :text, "*", "*"],
            ["default", :text, "=", "="],
            ["generated", :text, "/", "/"],
            ["in a check", :text, "?", "?"],
            ["unique together", :text, "u1", "u"],
            ["index", :text, "i1", "i"],
            ["refers to", :pen, :line, :line],
            ["inherits from", :shapes, Samples.kind, :inheritance],
            ["view", :pen, :planned, :view],
            ["kept as SQL", :pen, :plain, :object]
          ]
        end

        def marks(set, element)
          MARKS.fetch(element.kind) { ColumnRows.new(set, element).marks }
        end

        def tidy(set, sheet_id, only: nil, quick: false, **) = TablesLayout.new(self, set, *part(set, sheet_id, only), quick:).placements

        def candidate_positions(set, sheet_id, thing, size, extent) =
          Drawing::Near.new(set, sheet_id, thing, size, extent, [110, 60]).candidate_positions

        def terminal(set, table, placement, reference)
          Layout::RowTerminal.new(
            placement.box,
            placement.y + port(set, table, reference, reference.target("from") == table.id ? "column" : "key")
          )
        end

        def box(set, thing)
          case thing.kind
          when "view" then QueryBox.new(thing)
          when "table" then ColumnRows.new(set, thing)
          else ObjectBox.new(thing)
          end
        end

        # @return [Numeric] how far down a line ends at a table, px
        def port(set, table, reference, role) = ColumnRows.new(set, table).row(reference.targets(role).first)

        private

        # @return [Boolean] whether a trigger sees to it that there is one at least
        def needed?(set, reference)
          set
            .relations_of(reference.target("from"), "minimum")
            .any? { |one| one.target("of") == reference.target("from") && one.targets("column") == reference.targets("column") }
        end

        # @return [Boolean] whether at most one row refers to each
        def once?(set, reference)
          columns = reference.targets("column").sort
          table = reference.target("from")
          key = Tabling.columns(set, table).select { |column| column["key"] }.map(&:id).sort
          columns.any? &&
            (
              columns == key ||
                Tabling.constraints(set, table).any? { |one| Tabling.unique?(one) && one.targets("column").sort == columns }
            )
        end
      end
    end
  end
end
