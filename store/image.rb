# frozen_string_literal: true

module Store
  # An image that can be put on the sheets of a project. It never changes.
  class Image < ActiveRecord::Base
    self.table_name = "images"
    self.inheritance_column = nil
  end
end
