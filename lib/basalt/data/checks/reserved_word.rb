# frozen_string_literal: true

module Basalt
  module Data
    module Checks
      # A name that is a word of SQL.
      class ReservedWord < Basalt::Checks::Check
        rule "reserved-word", :hint, reads: %w[table column], each: %w[table column], near: 1

        def about(one)
          return [] unless SQLName.reserved?(one.kind == "table" ? SQLName.local(one.name) : one.name)

          owner = one.owner_id ? set.element(one.owner_id) : one
          better = one.kind == "table" ? "#{one.name}_table" : "#{English.singular(owner.name)}_#{one.name}"
          [
            finding(
              owner.id,
              "#{one.name}#{" of #{owner.name}" if one.owner_id} is a reserved word",
              "It has to stand in double quotes in every query, and somebody will forget.",
              repair: repair("Call it #{better}", Change::Set.new(id: one.id, fact: "name", value: better))
            )
          ]
        end
      end
    end
  end
end
