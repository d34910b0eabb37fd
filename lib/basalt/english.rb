# frozen_string_literal: true

module Basalt
  # How things are said.
  module English
    module_function

    # @return [String] +a+, +a and b+, +a, b and c+
    def list(words)
      words.length > 1 ? "#{words[0..-2].join(', ')} and #{words.last}" : words.first.to_s
    end

    # @return [String] +1 thing+, +3 things+
    def count(number, one, many = "#{one}s")
      "#{number} #{number == 1 ? one : many}"
    end

    def article(word) = word.match?(/\A[aeiou]/i) ? "an" : "a"
  end
end
