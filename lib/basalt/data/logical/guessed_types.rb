# frozen_string_literal: true

module Basalt
  module Data
    module Logical
      # Columns whose type was guessed from what an attribute is called, and stands as it was guessed.
      module GuessedTypes
        # What it may be instead, by what is guessed.
        OTHERS = {
          "text" => ["varchar(200)", "integer", "numeric", "date", "boolean"],
          "integer" => %w[bigint numeric text],
          "numeric" => ["integer", "numeric(12,2)", "double precision", "text"],
          "numeric(12,2)" => %w[numeric integer],
          "varchar(20)" => ["text", "varchar(60)", "integer"],
          "varchar(32)" => %w[text],
          "timestamptz" => %w[timestamp date time],
          "date" => %w[timestamptz text],
          "boolean" => %w[text date]
        }.freeze
        # A column, and the types that it may have instead.
        Guess = Value.of(:column, :others)

        module_function

        # @param table [Model::Element]
        # @return [Array<Guess>] in the order of the columns
        def of(set, table)
          house = Conventions.of(set)
          Tabling.columns(set, table.id).filter_map do |column|
            others = OTHERS[column["type"]]
            Guess.new(column:, others:) if others && guessed?(set, house, column)
          end
        end

        def guessed?(set, house, column)
          attribute = column["thread"] && set.element(column["thread"].split("/").first)
          return false unless attribute&.kind == "attribute" && Refinement.derived(column)["type"] == column["type"]

          house.guessed?(words(set, attribute))
        end

        # @return [String] the names of an attribute and of what it is a part of
        def words(set, attribute)
          owner = set.element(attribute.owner_id)
          owner.kind == "attribute" ? "#{words(set, owner)} #{attribute.name}" : attribute.name
        end
      end
    end
  end
end
