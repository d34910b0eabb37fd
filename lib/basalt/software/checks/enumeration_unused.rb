# frozen_string_literal: true

module Basalt
  module Software
    module Checks
      # An enumeration that is the type of nothing.
      class EnumerationUnused < Basalt::Checks::Check
        LINES = %w[association aggregation composition dependency generalisation].freeze
        rule "enumeration-unused", :hint, reads: ["class", "property", "operation", *LINES]

        def findings
          all = set.of_kind("class").select { |one| one["sort"] == Classes::Kinds::ENUMERATION }
          return [] if all.empty?

          used = set.of_kind("property", "operation").flat_map { |part| Classes::Types.of(part) }.to_set
          all.reject { |one| used.include?(one.name) || set.relations_of(one.id, *LINES).any? }.map do |one|
            finding(one.id, "Nothing is of the type #{one.name}", "Its values stand nowhere: an attribute lacks, or it can go.")
          end
        end
      end
    end
  end
end
