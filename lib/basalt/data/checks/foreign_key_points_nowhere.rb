# frozen_string_literal: true

module Basalt
  module Data
    module Checks
      # A foreign key that refers to columns which are no key.
      class ForeignKeyPointsNowhere < Basalt::Checks::Check
        rule "foreign-key-points-nowhere", :error, reads: %w[reference column constraint table], each: "reference", near: 2

        def about(reference)
          return [] if sound?(reference)

          from, to = %w[from to].map { |role| set.element(reference.target(role)) }
          [
            finding(
              [reference.id, from.id, to.id],
              "#{from.name} refers to #{to.name}, and no key of it",
              "A row could not tell which one it means: the columns referred to have to be the key, or unique.",
              repair: mend(reference, to)
            )
          ]
        end

        private

        def sound?(reference)
          keys = reference.targets("key").sort
          return false if keys.empty? || keys.length != reference.targets("column").length

          candidates(reference.target("to")).include?(keys)
        end

        def candidates(table_id)
          uniques = Tabling.constraints(set, table_id).select { |one| Tabling.unique?(one) }.map { |one| one.targets("column").sort }
          [Tabling.columns(set, table_id).select { |one| one["key"] }.map(&:id).sort, *uniques].reject(&:empty?)
        end

        # What it refers to becomes unique; where that is open, the reference goes.
        def mend(reference, to)
          keys = reference.targets("key")
          if keys.empty? || keys.length != reference.targets("column").length
            return repair("Strike the reference", Change::Remove.new(id: reference.id))
          end

          names = keys.map { |id| set.element(id).name }
          ends = [["table", to.id], *keys.map { |id| ["column", id] }]
          repair(
            "Make #{names.join(", ")} of #{to.name} unique",
            Change::Add.new(kind: "constraint", facts: { "type" => "unique" }, ends:)
          )
        end
      end
    end
  end
end
