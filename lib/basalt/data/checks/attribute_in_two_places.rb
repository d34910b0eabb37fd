# frozen_string_literal: true

module Basalt
  module Data
    module Checks
      # The same attribute at both ends of a relationship: one of them is a copy.
      class AttributeInTwoPlaces < Basalt::Checks::Check
        rule "attribute-in-two-places", :warning, reads: %w[entity attribute relationship], each: "relationship", near: 2

        COMMON = /\A(name|code|number|no|id|description|notes?|remarks?|date|kind|type|status|state|title|address|phones?|value|comment)\z/i

        def about(one)
          first, second = one.targets.uniq
          return [] unless second

          shared(first, second)
            .map do |here, there|
              finding(
                [second, first, there.id],
                "#{here.name} is said of #{set.element(first).name} and of #{set.element(second).name}",
                "One follows from the other through “#{one.name}”; two copies come to differ.",
                repair: repair("Strike it from #{set.element(second).name}", Change::Remove.new(id: there.id))
              )
            end
            .uniq { |finding| [finding.subjects, finding.message] }
        end

        private

        def shared(first, second)
          theirs =
            Describing.of(set, second).reject { |attribute| attribute["key"] }.to_h { |attribute| [attribute.name.downcase, attribute] }
          own = Describing.of(set, first).reject { |attribute| attribute.name.match?(COMMON) || attribute["key"] }
          own.filter_map { |attribute| theirs[attribute.name.downcase]&.then { |other| [attribute, other] } }
        end
      end
    end
  end
end
