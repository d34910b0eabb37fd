# frozen_string_literal: true

module Basalt
  module Statements
    # A text that a statement gives as a name, and not as a word of the language.
    class Naming < String
      # Plain from here on.
      def to_str = String.new(self)
    end
  end
end
