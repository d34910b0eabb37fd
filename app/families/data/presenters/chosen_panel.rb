# frozen_string_literal: true

module Web
  module Families
    module Data
      module Presenters
        # What can become of several things that are selected.
        class ChosenPanel
          # @param things [Array<Basalt::Model::Element>]
          def initialize(things:, **)
            @things = things
          end

          # @return [Boolean] whether they are two entities, which could be one
          def mergeable? = @things.length == 2 && @things.all? { |one| one.kind == "entity" }
          def first = @things.first
          def last = @things.last
        end
      end
    end
  end
end
