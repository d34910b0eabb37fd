# frozen_string_literal: true

module Basalt
  module Software
    module Checks
      # A class or a feature whose name is not written as UML's own are: classes begin with a capital letter, features with a small one, and
      # words run together.
      class NameBreaksRule < Basalt::Checks::Check
        rule "name-breaks-rule", :hint, reads: %w[class property operation], each: %w[class property operation]

        SHAPES = { "class" => /\A\p{Lu}[\p{L}\p{N}_]*\z/, "property" => /\A(\p{Ll}|_)[\p{L}\p{N}_?!=]*\z/ }.freeze
        OPERATOR = /\A[^\p{L}_]/
        CONSTANT = /\A\p{Lu}[\p{Lu}\p{N}_]*\z/

        def about(one)
          return [] if fits?(one)

          owner = one.owner_id && set.element(one.owner_id)
          better = better(one)
          [
            finding(
              [owner&.id, one.id].compact,
              "#{one.name}#{" of #{owner.name}" if owner} is not named as its like",
              one.kind == "class" ? CLASSES : FEATURES,
              repair: better && repair("Call it #{better}", Change::Set.new(id: one.id, fact: "name", value: better))
            )
          ]
        end

        CLASSES = "Names of classes begin with a capital letter and have no blanks, so that they can be told from features."
        FEATURES = "Names of features begin with a small letter and have no blanks, so that they can be told from classes."
        private_constant :CLASSES, :FEATURES

        private

        def fits?(one)
          return true if one.kind != "class" && one.name.match?(OPERATOR)
          return true if one.kind == "property" && one.name.match?(CONSTANT)
          # What makes objects is called as its class is.
          return true if one.kind == "operation" && set.element(one.owner_id).name == one.name

          one.name.match?(SHAPES.fetch(one.kind, SHAPES["property"]))
        end

        def better(one)
          words = one.name.scan(/[\p{L}\p{N}_]+/)
          return if words.empty? || words.first.match?(/\A\p{N}/)

          joined = words.map { |word| word[0].upcase + word[1..].to_s }.join
          found = one.kind == "class" ? joined : joined[0].downcase + joined[1..].to_s
          found if found != one.name && found.match?(SHAPES.fetch(one.kind, SHAPES["property"]))
        end
      end
    end
  end
end
