# frozen_string_literal: true

module Basalt
  module Data
    module Logical
      # A column that entities come to. Its +thread+ names the source: the id of an element, and
      # what of it where several things come from one.
      Column = Value.of(:thread, :name, :type, :default, :generated, key: false, required: false)
    end
  end
end
