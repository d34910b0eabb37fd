# frozen_string_literal: true

module Basalt
  module Data
    module Checks
      # Names that differ only in how they are written.
      class SameName < Basalt::Checks::Check
        rule "same-name", :warning, reads: %w[entity meeting relationship attribute]

        def findings
          things = set.of_kind("entity", "meeting").group_by { |one| flat(one.name) }.values.select { |list| list.length > 1 }
          things.map do |list|
            finding(
              list.map(&:id),
              "#{named(list)} are written differently only",
              "People will take them for the same, and so will most databases."
            )
          end + set.of_kind("entity", "relationship", "meeting").flat_map { |owner| attributes(owner) }
        end

        private

        def named(list) = English.list(list.map { |one| "“#{one.name}”" })
        def flat(name) = name.downcase.gsub(/[\s_-]+/, "")

        def attributes(owner)
          Describing
            .of(set, owner.id)
            .group_by { |one| flat(one.name) }
            .values
            .select { |list| list.length > 1 }
            .map do |list|
              finding(
                owner.id,
                "#{named(list)} of #{owner.name} are written differently only",
                "One of them is a copy, and the two will come to differ.",
                repair: repair("Strike “#{list.last.name}”", Change::Remove.new(id: list.last.id))
              )
            end
        end
      end
    end
  end
end
