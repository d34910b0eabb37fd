# frozen_string_literal: true

module Basalt
  module Software
    module Xmi
      # Types as elements: a text that is the name of one class speaks of it.
      module Types
        module_function

        # @param text [String]
        # @param owner [Model::Element] of the feature
        # @return [Model::Element, nil]
        def exactly(set, text, owner)
          found = Classes::Types.classes(set, text, owner)
          found.first if found.one?
        end
      end
    end
  end
end
