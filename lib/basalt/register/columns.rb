# frozen_string_literal: true

module Basalt
  module Register
    # The columns of a kind, in order: what it joins, its name, its facts, its place, and what
    # the notation works out.
    module Columns
      # The key of the column that says what a part belongs to; no fact is called so.
      OWNER = "part of"

      module_function

      # @param notation [Drawing::Notation]
      # @return [Array<Column>]
      def of(notation, kind)
        description = Model::Catalogue.kind(kind)
        arranged(
          description,
          [
            *owner(description),
            *ends(description),
            *name(description),
            *facts(description, notation),
            *place(description),
            assumed,
            *notation.computed_headings(kind).map { |title| Column.new(key: "computed #{title}", title:, type: :computed) }
          ]
        )
      end

      # In the order that the kind gives, the others behind.
      def arranged(description, columns)
        wanted = description.columns or return columns
        first = wanted.filter_map { |key, title| columns.find { |column| column.key == key }&.with(title:) }
        first + columns.reject { |column| wanted.key?(column.key) }
      end

      def ends(description)
        description
          .ends
          .first(2)
          .flat_map do |role, kinds|
            [
              Column.new(
                key: "end #{role}",
                title: role,
                type: :reference,
                kinds:,
                role:,
                required: role != description.open_end,
                makes: description.making&.[](role)
              ),
              *description.end_fields.map do |field|
                Column.new(
                  key: "#{field.name} of #{role}",
                  title: "#{role} #{field.title}",
                  type: field.type,
                  choices: field.choices,
                  role:,
                  fact: field
                )
              end
            ]
          end
      end

      def owner(description)
        description.owner.any? ? [Column.new(key: OWNER, title: "of", type: :reference, kinds: description.owner, required: true)] : []
      end

      def name(description)
        description.named? ? [Column.new(key: "name", title: "name", type: :text, required: true)] : []
      end

      def facts(description, notation)
        [*description.fields.values.reject { |one| one.internal || !one.on?(notation) }, *row(description)].map do |field|
          Column.new(key: field.name, title: field.title, type: field.type, choices: field.choices, fact: field)
        end
      end

      # The place of a relation that is in order among others.
      def row(description)
        if description.ordered && description.relation? && description.local.nil?
          [Model::Field.new(name: description.ordered, type: :integer, range: 1..99_999)]
        else
          []
        end
      end

      def place(description)
        description.containers.any? && description.local.nil? ? [Column.new(key: "container", title: "in", type: :reference,
                                                                            kinds: description.containers)] : []
      end

      def assumed = Column.new(key: "assumed", title: "assumed", type: :flag)
    end
  end
end
