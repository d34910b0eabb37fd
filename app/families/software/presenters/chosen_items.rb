# frozen_string_literal: true

module Web
  module Families
    module Software
      module Presenters
        # What can be done with several messages together.
        class ChosenItems
          Interactions = Basalt::Software::Interactions

          def initialize(things:, **)
            @things = things
          end

          def shown? = @things.any? { |one| Interactions::Kinds::ITEMS.include?(one.kind) }
        end
      end
    end
  end
end
