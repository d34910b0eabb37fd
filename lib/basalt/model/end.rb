# frozen_string_literal: true

module Basalt
  module Model
    # One end of a relation: its role, the element it points at, and facts of its own.
    End = Value.of(:role, :target_id, :facts) do
      # @param hash [Hash{String, Symbol => Object}] plain values
      # @return [End]
      def self.load(hash)
        values = hash.transform_keys(&:to_sym)
        new(role: values[:role], target_id: values[:target_id], facts: (values[:facts] || {}).freeze)
      end
    end
  end
end
