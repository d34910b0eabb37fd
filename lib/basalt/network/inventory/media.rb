# frozen_string_literal: true

module Basalt
  module Network
    module Inventory
      # The words that inventories use for what cables are and how fast they go.
      module Media
        # Grades of ISO/IEC 11801-1 among them: OM of multimode and OS of single-mode fibre.
        WORDS = {
          "copper" => /\A(utp|stp|ftp|cat ?[5-8]a?e?|rj ?45|twisted ?pair|base ?-?t|tp)\z/,
          "multimode" => /\A(mm|mmf|multi ?-?mode( fib(re|er))?|om[1-5])\z/,
          "single-mode" => /\A(sm|smf|single ?-?mode( fib(re|er))?|os[12])\z/,
          "fibre" => /\A(fiber|optical|optic(al)? fib(re|er))\z/,
          "coax" => /\A(coaxial|bnc)\z/,
          "radio" => /\A(wireless|wi-?fi|wlan)\z/,
          "power" => /\A(mains|power cord)\z/
        }.freeze
        SPEED = %r{\A(\d+(?:\.\d+)?)\s*([kmgt])?(?:(?:i?b(?:it)?)?(?:ps|/s)|be|base.*|b|e)?\z}i

        module_function

        # @param text [String]
        # @return [String] of Cabling::Medium::ALL
        # @raise [Mistake] when the word is not known
        def medium(text)
          plain = text.strip.downcase
          found = Cabling::Medium::ALL.find { |one| one == plain } || WORDS.find { |_, words| plain.match?(words) }&.first
          found or raise Mistake, "“#{Model::Names.short(text, 30)}” is not a known medium (#{Cabling::Medium::ALL.join(", ")})"
        end

        # @param text [String] such as +1 Gbit/s+, +1000+ in Mbit/s, or several with a stroke between
        # @return [String] as Cabling::Speed has it
        # @raise [Mistake]
        def speed(text)
          parts = text.split(%r{/(?!s)}, -1)
          parts.empty? ? refuse(text) : parts.map { |part| one_speed(part.strip) || refuse(text) }.join("/")
        end

        # @param text [String] in m
        # @return [Integer] whole metres, as a cable has to be long
        # @raise [Mistake]
        def length(text)
          number = text.strip[/\A(\d+(?:[.,]\d+)?)\s*(?:m|metres?|meters?)?\z/i, 1]
          raise Mistake, "“#{Model::Names.short(text, 30)}” is not a length in metres" unless number

          number.tr(",", ".").to_f.ceil
        end

        # @return [String, nil]
        def one_speed(text)
          number, unit = text.match(SPEED)&.captures
          return unless number

          factor = { "k" => 1e3, "m" => 1e6, "g" => 1e9, "t" => 1e12 }.fetch((unit || "m").downcase)
          bits = number.to_f * factor
          letter, size = { "T" => 1e12, "G" => 1e9, "M" => 1e6, "K" => 1e3 }.find { |_, size| bits >= size }
          letter && "#{(bits / size).then { |value| value == value.to_i ? value.to_i : value.round(2) }}#{letter}"
        end

        def refuse(text) = raise(Mistake, "“#{Model::Names.short(text, 30)}” is no speed such as 1G or 100 Mbit/s")
      end
    end
  end
end
