# frozen_string_literal: true

module Basalt
  module Data
    # What a person altered of what was derived: whatever differs from how it was derived.
    module Refinement
      FACTS = {
        "table" => %w[],
        "column" => %w[type key required default generated],
        "reference" => %w[deleting],
        "constraint" => %w[type],
        "check" => %w[expression],
        "minimum" => %w[least],
        "view" => %w[query]
      }.freeze

      module_function

      # @return [String] the facts that are compared, one after the other
      def plain(set, element) = facts(set, element).map { |value| value.to_s.gsub("|", "¦") }.join("|")

      def facts(_set, element) = [element.name, *FACTS.fetch(element.kind).map { |fact| element[fact] }]

      # @return [Boolean] whether a person altered what was derived
      def refined?(set, element) = element["as_derived"] && element["as_derived"] != plain(set, element)

      # @return [Hash{String => Object}] facts as they were derived, by name
      def derived(element)
        names = ["name", *FACTS.fetch(element.kind)]
        values = element["as_derived"].to_s.split("|", -1)
        names.zip(values).to_h { |fact, value| [fact, value.to_s.empty? ? nil : (value == "true" ? true : value)] }
      end
    end
  end
end
