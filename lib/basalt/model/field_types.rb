# frozen_string_literal: true

module Basalt
  module Model
    # How each type of field reads a text; each entry returns the kept value or raises BadFact.
    module FieldTypes
      # Characters of a text of several lines.
      MOST_OF_LINES = 200_000

      ALL = {
        text: ->(_field, text) { Names.clean(text, limit: 2000) },
        lines: ->(_field, text) { Names.clean_lines(text, limit: MOST_OF_LINES) },
        word: lambda { |field, text|
          raise BadFact, "#{field.title} is one word, and “#{Names.short(text)}” is more" if text.match?(/\s/)

          Names.clean(text, limit: 200)
        },
        integer: lambda { |field, text|
          number = Integer(text, 10, exception: false)
          within = number && (field.range.nil? || field.range.cover?(number))
          unless within
            raise BadFact, "#{field.title} is a whole number#{field.range && " from #{field.range.min} to #{field.range.max}"}, " \
                           "not “#{Names.short(text)}”"
          end

          number
        },
        flag: lambda { |field, text|
          case text.downcase
          when "true", "yes", "y", "1", "x", "on" then true
          when "false", "no", "n", "0", "off", "-" then nil
          else raise BadFact, "#{field.title} is yes or no, not “#{Names.short(text)}”"
          end
        },
        choice: lambda { |field, text|
          field.choices.include?(text) or
            raise BadFact, "#{field.title} is one of #{field.choices.join(', ')}, not “#{Names.short(text)}”"
          text
        },
        pattern: lambda { |field, text|
          field.choices.include?(text) || text.match?(field.range) or
            raise BadFact, "#{field.title} is one of #{field.choices.join(', ')}, or such as 2 to 7, not “#{Names.short(text)}”"
          text
        },
        read: ->(field, text) { field.reader.call(Names.clean(text, limit: 2000)) },
        address: ->(_field, text) { Addresses.address(text).to_s },
        prefix: ->(_field, text) { Addresses.prefix(text).to_s }
      }.freeze
    end
  end
end
