# frozen_string_literal: true

module Basalt
  module Data
    # How many of an entity there are for one of another: least and most, each nil where it
    # is not decided; +most+ is Infinity for any number.
    Cardinality = Value.of(:least, :most) do
      self::RANGE = /\A(\d{1,6}) to (\d{1,6})\z/

      # @param words [String, nil] as the model keeps them
      def self.read(words)
        case words
        when "exactly one" then new(least: 1, most: 1)
        when "zero or one" then new(least: 0, most: 1)
        when "one or more" then new(least: 1, most: Float::INFINITY)
        when "zero or more" then new(least: 0, most: Float::INFINITY)
        when "many" then new(least: nil, most: Float::INFINITY)
        when /\A(\d+) to (\d+)\z/ then new(least: Integer($1, 10), most: Integer($2, 10))
        else new(least: nil, most: nil)
        end
      end
    end
  end
end
