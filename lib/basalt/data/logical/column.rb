# frozen_string_literal: true

module Basalt
  module Data
    module Logical
      # A column that entities come to. Its +thread+ names the source: the id of an element, and
      # what of it where several things come from one.
      Column = Value.of(:thread, :name, :type, :key, :required, :default, :generated) do
        def initialize(key: false, required: false, **rest)
          super
        end
      end
    end
  end
end
