# frozen_string_literal: true

module Basalt
  module Data
    module Checks
      # A foreign key whose columns have another type than the key.
      class ForeignKeyTypeDiffers < Basalt::Checks::Check
        rule "foreign-key-type-differs", :error, reads: %w[reference column table], each: "reference"

        def about(reference)
          pairs =
            reference
              .targets("column")
              .zip(reference.targets("key"))
              .filter_map { |ids| ids.map { |id| id && set.element(id) }.then { |pair| pair.include?(nil) ? nil : pair } }
          pairs
            .reject { |column, key| Logical::Types.same?(column["type"], key["type"]) }
            .map { |column, key| differing(reference, column, key) }
        end

        private

        def differing(reference, column, key)
          table, target = %w[from to].map { |role| set.element(reference.target(role)).name }
          types = [column, key].map { |one| one["type"] || "without a type" }
          finding(
            [reference.id, reference.target("from")],
            "#{table}.#{column.name} is #{types[0]}, #{target}.#{key.name} is #{types[1]}",
            "A foreign key has to hold exactly what the key holds.",
            repair: repair("Make #{column.name} #{types[1]}", Change::Set.new(id: column.id, fact: "type", value: key["type"]))
          )
        end
      end
    end
  end
end
