# frozen_string_literal: true

module Basalt
  module Statements
    # One item of a list in a statement: a new name and what is said behind it.
    NamedItem = Value.of(:name, :qualities) do
      def mentions = [name]
    end
  end
end
