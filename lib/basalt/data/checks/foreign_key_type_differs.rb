# frozen_string_literal: true

module Basalt
  module Data
    module Checks
      # A foreign key whose columns have another type than the key.
      class ForeignKeyTypeDiffers < Basalt::Checks::Check
        rule "foreign-key-type-differs", :error, reads: %w[reference column]

        def findings
          set.of_kind("reference").flat_map do |reference|
            pairs = reference.targets("column").zip(reference.targets("key")).filter_map { |ids| ids.map { |id| id && set.element(id) }.then { |pair| pair.include?(nil) ? nil : pair } }
            pairs.reject { |column, key| Logical::Types.same?(column["type"], key["type"]) }.map { |column, key| differing(reference, column, key) }
          end
        end

        private

        def differing(reference, column, key)
          table, target = %w[from to].map { |role| set.element(reference.target(role)).name }
          finding([reference.id, reference.target("from")], "#{table}.#{column.name} is #{column['type'] || 'without a type'}, #{target}.#{key.name} is #{key['type'] || 'without a type'}", "A foreign key has to hold exactly what the key holds.",
                  repair: repair("Make #{column.name} #{key['type'] || 'without a type'}", Change::Set.new(id: column.id, fact: "type", value: key["type"])))
        end
      end
    end
  end
end
