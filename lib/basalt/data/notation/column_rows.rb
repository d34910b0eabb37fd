# frozen_string_literal: true

module Basalt
  module Data
    module Notation
      # A table as a box with a row for each column: marks, name, type, and at the right the
      # constraints that join several columns, each with a number of its own.
      class ColumnRows
        HEAD = 30
        ROW = 18
        FOOT = 8
        LEAST = 150
        MOST = 420
        MARKS = 32
        # Bounds, triggers and the like that are shown.
        BEHIND = 6
        GAP = 12
        S = Drawing::Shapes

        def initialize(set, table)
          @set = set
          @table = table
          @columns = Tabling.columns(set, table.id)
        end

        # @return [Array(Integer, Integer)] width and height, px
        def size
          name, type, rest = widths
          wanted = [
            Drawing::Pens.width(@table.name, :name) + 24, MARKS + name + GAP + type + (rest.positive? ? GAP + rest : 0) + 10,
            *behind.map { |words| MARKS + Drawing::Pens.width(words, :type) + 10 }
          ].max
          [wanted.clamp(LEAST, MOST).ceil, height(@columns) + height(behind) - HEAD]
        end

        # @return [Numeric] how far down the middle of a column's row is, px
        def row(column_id)
          index = @columns.index { |column| column.id == column_id }
          index ? HEAD + 12 + (index * ROW) : HEAD / 2
        end

        def marks
          @columns
            .flat_map do |column|
              [
                *("#" if column["key"]),
                *(">" if foreign.include?(column.id)),
                *("*" if column["required"] && !column["key"]),
                *("=" if column["default"]),
                *("/" if column["generated"])
              ]
            end
            .uniq + joint.map { |one| letter(one) }.uniq + (checked.any? ? ["?"] : [])
        end

        # @return [Array] shapes
        def shapes(box)
          [
            S.rect(box.x, box.y, box.w, box.h, @table.assumed ? :assumed : :outline),
            S.rect(box.x, box.y, box.w, 4, :bar),
            S.text(box.x + 12, box.y + 21, Drawing::Pens.fit(@table.name, :name, box.w - 20), :name),
            *list(box), *behind_shapes(box)
          ]
        end

        private

        # What others point at is looked for only where it is shown: to one table very many may refer.
        def foreign = @foreign ||= Tabling.references(@set, @table.id).flat_map { |one| one.targets("column") }.to_set
        def joint = @joint ||= Tabling.constraints(@set, @table.id)
        def behind = @behind ||= parts.first(BEHIND)
        def checked = @checked ||= Tabling.checks(@set, @table.id).map { |one| one["expression"].to_s }

        # How it is split or of what it is a part, and what is kept behind it.
        def parts
          bounds = Physical::Sentences.inheritances(@set, @table.id).filter_map { |one| one["bounds"] }
          added = Physical::Sentences.additions(@set, @table.id).filter_map { |one| Physical::Additions.title(one["written"].to_s) }
          [*bounds.map { |one| one.delete_prefix("FOR VALUES ").downcase }, *split, *added]
        end

        def split = @table["partitioned"] ? ["by #{@table["partitioned"].downcase}"] : []

        def height(rows) = HEAD + (rows.empty? ? 0 : FOOT + (ROW * rows.length))

        # What stands behind the table in the database.
        def behind_shapes(box)
          return [] if behind.empty?

          top = box.y + height(@columns)
          [
            S.path("M#{S.n box.x} #{S.n top}H#{S.n box.right}", :rule),
            *behind.each_with_index.map do |words, index|
              S.text(box.x + MARKS, top + 17 + (index * ROW), Drawing::Pens.fit(words, :type, box.w - MARKS - 8), :type)
            end
          ]
        end

        def widths
          [
            [@columns, ->(column) { Drawing::Pens.width(column.name, :member) }],
            [@columns, ->(column) { Drawing::Pens.width(type(column), :type) }],
            [@columns, ->(column) { Drawing::Pens.width(joined(column), :type) }]
          ].map { |columns, width| columns.map(&width).max || 0 }
        end

        def type(column) = column["type"].to_s

        def letter(one) = Tabling.unique?(one) ? "u" : "i"

        # The constraints that a column is in: those over the same columns have the same number.
        def joined(column)
          %w[u i]
            .flat_map do |letter|
              all = joint.select { |one| letter(one) == letter }
              all.each_with_index.filter_map do |one, index|
                "#{letter}#{index + 1 if all.length > 1}" if one.targets("column").include?(column.id)
              end
            end
            .join(" ")
        end

        def mark(column)
          [
            ("#" if column["key"]),
            (">" if foreign.include?(column.id)),
            ("*" if column["required"] && !column["key"]),
            ("=" if column["default"]),
            ("/" if column["generated"]),
            ("?" if checked.any? { |text| text.match?(/\b#{Regexp.escape(column.name)}\b/) })
          ].compact.join
        end

        def list(box)
          return [] if @columns.empty?

          name, type, = widths
          room = [box.w - MARKS - GAP - [type, (box.w - MARKS) / 2].min - 10, 40].max
          rule = S.path("M#{S.n box.x} #{S.n box.y + HEAD}H#{S.n box.right}", :rule)
          [rule] +
            @columns.each_with_index.map do |column, index|
              y = box.y + HEAD + 17 + (index * ROW)
              S.part(
                column.id,
                [
                  S.rect(box.x + 2, y - 13, box.w - 4, ROW, :row),
                  S.text(box.x + 10, y, mark(column), :label),
                  S.text(box.x + MARKS, y, Drawing::Pens.fit(column.name, :member, room), :member),
                  S.text(
                    box.x + MARKS + [name, room].min + GAP,
                    y,
                    Drawing::Pens.fit(type(column), :type, [box.w - MARKS - [name, room].min - GAP - 8, 20].max),
                    :type
                  ),
                  S.text(box.right - 8, y, joined(column), :type, :end)
                ]
              )
            end
        end
      end
    end
  end
end
