# frozen_string_literal: true

module Basalt
  module Software
    module Checks
      # A feature whose type is no class that is there.
      class TypeUnknown < Basalt::Checks::Check
        rule "type-unknown", :warning, reads: %w[class property operation], each: %w[property operation]

        # Any name may become that of a class, or be one no more.
        def self.given(set) = set.of_kind("class").map { |one| [one.id, one.name] }

        def about(part)
          owner = set.element(part.owner_id)
          Classes::Types.of(part).reject { |name| Classes::Types.known?(set, name, owner) }.map do |name|
            finding(
              [owner.id, part.id],
              "#{owner.name}.#{part.name} is of the type #{name}, which is not there",
              "Nobody can tell what it holds, and no line can be drawn to it.",
              repair: repair("Make #{name} a class", Change::Add.new(kind: "class", name:))
            )
          end
        end
      end
    end
  end
end
