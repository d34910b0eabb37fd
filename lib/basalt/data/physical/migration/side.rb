# frozen_string_literal: true

module Basalt
  module Data
    module Physical
      class Migration
        # One of the two databases: what it holds, by what it is called.
        class Side
          def initialize(set)
            @set = set
            @definitions = Definitions.new(set)
          end

          attr_reader :set, :definitions

          # @return [Hash{String => Model::Element}] by name
          def tables = @tables ||= set.of_kind("table").to_h { |one| [one.name, one] }
          def views = @views ||= set.of_kind("view").select { |one| one["query"] }.to_h { |one| [one.name, one] }

          # @return [Hash{Array(String, String) => Model::Element}] by type and name
          def objects
            @objects ||= set.of_kind(Kinds::OBJECT).select { |one| one["written"] }.to_h { |one| [[one["type"], one.name], one] }
          end

          # @return [Array<Model::Element>] all of them, in an order that loads
          def order = @order ||= Needs.new(set, [*objects.values, *tables.values, *views.values]).order

          # @return [Hash{String => Model::Element}] by name; a partition that says none has those of what it is a part of
          def columns(table)
            own = Tabling.columns(set, table.id)
            whole = own.empty? && definitions.partition(table)
            whole ? columns(set.element(whole.target("parent"))) : own.to_h { |one| [one.name, one] }
          end

          # @return [Integer] how far down something stands in the order that loads
          def rank(one) = (@rank ||= order.each_with_index.to_h { |each, index| [each.id, index] }).fetch(one.id, 0)

          def name(table) = SQLName.qualified(table.name)

          # @return [Array<String>] the schemas that names speak of
          def schemas = (tables.values + views.values + objects.values).filter_map { |one| Needs.parts(one).first }.uniq
        end
      end
    end
  end
end
