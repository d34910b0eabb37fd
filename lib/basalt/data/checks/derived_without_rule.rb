# frozen_string_literal: true

module Basalt
  module Data
    module Checks
      # A derived attribute of which nobody said how it comes about.
      class DerivedWithoutRule < Basalt::Checks::Check
        rule "derived-without-rule", :hint, reads: %w[attribute entity meeting relationship], each: "attribute", near: 1

        def about(attribute)
          return [] unless attribute["derived"] && attribute["rule"].nil? && attribute["source"].nil?

          owner = set.element(attribute.owner_id)
          [
            finding(
              owner.id,
              "How #{attribute.name} of #{owner.name} is derived is not said",
              "Nobody could compute it, and no column or view can be made of it.",
              repair:
                repair("Take #{attribute.name} as a plain attribute", Change::Set.new(id: attribute.id, fact: "derived", value: nil))
            )
          ]
        end
      end
    end
  end
end
