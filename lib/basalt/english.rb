# frozen_string_literal: true

require "dry/inflector"

module Basalt
  # How things are said.
  module English
    INFLECTOR = Dry::Inflector.new { |rules| rules.uncountable("staff", "data", "feedback", "software", "hardware", "news", "weather") }
    # Words that sound as if they began otherwise than they are written.
    SILENT = /\A(hour|honest|honou?r|heir)/i
    YOD = /\A(uni([^nm]|\z)|use|usu|eu|one\b|once\b|ut[ei]|u\b)/i

    module_function

    # @return [String] +a+, +a and b+, +a, b and c+
    def list(words)
      words.length > 1 ? "#{words[0..-2].join(', ')} and #{words.last}" : words.first.to_s
    end

    # @return [String] +1 thing+, +3 things+
    def count(number, one, many = "#{one}s")
      "#{number} #{number == 1 ? one : many}"
    end

    # @return [String] +a+ or +an+, by how the word is spoken as far as its letters tell
    def article(word)
      return "an" if word.match?(SILENT)

      word.match?(/\A[aeiou]/i) && !word.match?(YOD) ? "an" : "a"
    end

    # @param noun [String] of one word or several; the last is the one that changes
    # @return [String] for more than one
    def plural(noun) = last_word(noun) { |word| INFLECTOR.pluralize(word) }

    # @return [String] for one
    def singular(noun) = last_word(noun) { |word| INFLECTOR.singularize(word) }

    # @return [Boolean] whether a noun is there for more than one
    def plural?(noun)
      word = noun[/\S+\z/].to_s
      INFLECTOR.pluralize(word).casecmp?(word) && !INFLECTOR.singularize(word).casecmp?(word)
    end

    def last_word(noun)
      head, word = noun.match(/\A(.*?)(\S*)\z/m).captures
      changed = yield word
      word == word.upcase && word.length > 1 && word.match?(/[A-Z]/) ? "#{head}#{word}#{'s' if changed.downcase != word.downcase}" : "#{head}#{changed}"
    end
  end
end
