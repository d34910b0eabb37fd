# frozen_string_literal: true

module Basalt
  module English
    # Verb phrases: for one and for many, and with the pronoun for what they are done to.
    module Verbs
      # For one, and for many.
      IRREGULAR = { "is" => "are", "was" => "were", "has" => "have", "does" => "do", "isn't" => "aren't", "hasn't" => "haven't",
                    "doesn't" => "don't", "wasn't" => "weren't", "goes" => "go", "undergoes" => "undergo" }.freeze
      # Plain forms that end in a hiss of their own, or in e before the s of the third person.
      HISSING = %w[focus refocus bias canvas bus gas chorus discuss process access address assess express pass press miss cross dress guess
                   possess witness harness bypass trespass suppress compress encompass].to_set.freeze
      SILENT_E = %w[cache ache psyche axe tie untie die lie vie belie underlie shoe canoe toe].to_set.freeze
      PLAIN = %w[ties unties dies lies vies belies underlies].to_h { |word| [word, word.delete_suffix("s")] }.merge("has" => "have").freeze
      # Words before a verb that are none.
      ADVERBS = %w[
        if ever often always never sometimes also mostly rarely seldom once still only soon then thus now just later first
      ].to_set.freeze
      # Verbs that end as adverbs do.
      NO_ADVERBS = %w[apply supply reply rely comply imply multiply].to_set.freeze
      AND = %w[and or nor then but].freeze
      # Particles that stand behind what is done to it, and the verbs of which others do.
      PARTED = %w[out up off down away back apart together aside forward].to_set.freeze
      PARTED_WITH = {
        "on" => %w[take turn switch put pass bring carry hand try add sign],
        "in" => %w[fill hand take bring phone call check let put draw trade type key let send],
        "over" => %w[take hand turn look carry pass think bring]
      }.freeze
      # With these such words belong to the verb, and what it is done to stands behind them.
      WHOLE = {
        "out" => %w[run look come], "up" => %w[show end come grow], "off" => %w[live come], "back" => %w[come go look],
        "down" => %w[come go], "together" => %w[work come go belong], "away" => %w[go come], "forward" => %w[look]
      }.freeze

      module_function

      # @param verb [String] such as caches, ties, focuses, watches
      # @return [String] as it stands in a list of words
      def plain(verb)
        return PLAIN[verb] if PLAIN.key?(verb)
        return verb unless verb.match?(/s\z/)

        stem = verb.delete_suffix("s")
        return stem if SILENT_E.include?(stem)

        short = verb.delete_suffix("es")
        case verb
        when /[^aeiou]ies\z/ then verb.sub(/ies\z/, "y")
        when /zzes\z/ then short.match?(/\A(?:qui|whi)zz\z/) ? short.chop : short
        when /(?:ch|sh|ss|x|o)es\z/ then short
        when /ses\z/ then HISSING.include?(short) ? short : stem
        when /[^s]s\z/ then HISSING.include?(verb) || verb.match?(/(?:us|is)\z/) ? verb : stem
        else verb
        end
      end

      # @param phrase [String] as it is said of one: usually works for, owns and maintains
      # @return [String] as it is said of many
      def many(phrase)
        pending = true
        phrase.split.map do |word|
          next word.tap { pending = true } if AND.include?(word.delete_suffix(","))
          next word if !pending || adverb?(word)

          pending = word.end_with?(",")
          one, comma = word.match(/\A(.*?)(,?)\z/).captures
          "#{IRREGULAR.fetch(one.downcase) { plain(one) }}#{comma}"
        end.join(" ")
      end

      def adverb?(word)
        ADVERBS.include?(word.downcase) || (word.match?(/\A[[:alpha:]]{3,}ly\z/) && !NO_ADVERBS.include?(word.downcase))
      end

      # @param phrase [String] of one or of many
      # @param pronoun [String] it, or them
      # @return [String] with the pronoun where it is said: carry it out, depend on it
      def done_to(phrase, pronoun)
        *before, particle = phrase.split
        return "#{phrase} #{pronoun}" if before.empty? || !parted?(before, particle)

        "#{before.join(" ")} #{pronoun} #{particle}"
      end

      # @return [Boolean] whether the particle is parted from its verb by a pronoun
      def parted?(before, particle)
        return false if before.any? { |word| AUXILIARIES.include?(word) && before.length > 1 && passive?(before) }

        verb = plain(before.last.downcase)
        return PARTED_WITH[particle].include?(verb) if PARTED_WITH.key?(particle)

        PARTED.include?(particle) && !WHOLE.fetch(particle, []).include?(verb)
      end

      # "is carried out": what is done to it stands elsewhere.
      def passive?(words) = words.last.match?(/(?:ed|en|n|t)\z/) && %w[is are was were be been being].include?(words[-2])
    end
  end
end
