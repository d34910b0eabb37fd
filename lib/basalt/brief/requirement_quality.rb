# frozen_string_literal: true

module Basalt
  module Brief
    # How requirements are worded.
    module RequirementQuality
      # Words that nobody can measure.
      VAGUE = %w[
        fast
        faster
        quick
        quickly
        rapid
        rapidly
        slow
        easy
        easily
        simple
        simply
        intuitive
        friendly
        user-friendly
        convenient
        comfortable
        appropriate
        appropriately
        suitable
        suitably
        adequate
        adequately
        sufficient
        sufficiently
        reasonable
        reasonably
        acceptable
        good
        well
        better
        best
        nice
        modern
        flexible
        flexibly
        robust
        reliable
        reliably
        efficient
        efficiently
        effective
        effectively
        optimal
        optimally
        clear
        clearly
        seamless
        seamlessly
        smooth
        smoothly
        secure
        securely
        scalable
        soon
        promptly
        timely
        often
        regularly
        frequently
        sometimes
        usually
        normally
        generally
        some
        several
        many
        few
        most
        various
        etc
        user-friendliness
        large
        small
        high
        low
        minimal
        maximal
        state-of-the-art
        usable
        readable
        clean
        lightweight
        powerful
        responsive
      ].to_set.freeze
      PHRASES = [
        /\bas (?:soon|fast|quickly|much|far|many) as possible\b/,
        /\bif (?:possible|needed|necessary)\b/,
        /\bwhere (?:possible|appropriate|necessary)\b/,
        /\band so on\b/,
        /\bat any time\b/,
        /\bin (?:good )?time\b/,
        /\bup to date\b/,
        /\bwithout (?:delay|undue)\b/
      ].freeze
      # A figure with a unit, a time or a standard is a measure.
      FIGURE = /one|two|three|four|five|six|ten|twelve|thirty|sixty|hundred|half an?/
      UNIT = /seconds?|minutes?|hours?|days?|weeks?|months?|years?|percent|times|steps?|clicks?|people|hundredths?/
      MEASURE = /\d|%|\b(?:#{FIGURE})\s+(?:#{UNIT})\b|\bwithin (?:the|a|an|one) (?:hour|minute|day|second|week|month|working day)\b/
      # Words that make a clause of its own of what follows "and".
      FINITE = %w[can must should shall may will is are was were has have].to_set.freeze
      # Verbs of requirements, beside those of relationships.
      VERBS = %w[
        appear
        attach
        calculate
        correct
        delete
        draw
        encrypt
        enter
        export
        forward
        load
        log
        mail
        print
        rebuild
        release
        scan
        sort
        sound
        sum
        transmit
        upload
        view
      ].to_set.freeze
      SPLIT = /;|\bas well as\b|\band (?:also|then)\b|\bbut also\b|\.\s+(?=[A-Z])/
      STOP = %w[
        the
        a
        an
        of
        to
        in
        on
        for
        by
        with
        and
        or
        is
        are
        be
        can
        must
        should
        shall
        may
        will
        that
        which
        their
        its
        his
        her
        at
        from
        it
        they
        as
        any
        each
        every
        all
      ].to_set.freeze
      ALIKE = 0.75

      module_function

      # @return [Array<String>] the words without a measure
      def vague(text)
        return [] if text.match?(MEASURE)

        down = text.downcase
        (
          down.scan(/[[:alpha:]]+(?:-[[:alpha:]]+)*/).select { |word| VAGUE.include?(word) } +
            PHRASES.filter_map { |phrase| down[phrase] }
        ).uniq
      end

      # Whether a text asks for two things: it falls into two that each have a verb.
      def double?(text)
        parts = text.split(SPLIT).map(&:strip).reject(&:empty?)
        return true if parts.length > 1 && parts.all? { |part| part.split.length > 1 }

        text.match?(/\band\b/) && text.split(/\band\b/, 2).then { |before, after| demand?(before) && second?(before, after) }
      end

      # @return [Set<String>] the words of a text that tell what it asks for
      def words(text) =
        text.downcase.scan(/[[:alnum:]]+/).reject { |word| STOP.include?(word) }.to_set { |word| English.singular(English.base(word)) }

      # @param one [Set<String>] words
      # @param other [Set<String>]
      # @return [Boolean] whether two texts ask for the same, as far as their words tell
      def alike?(one, other)
        return false if one.length < 2 || other.length < 2

        common = one.count { |word| other.include?(word) }
        common.fdiv(one.length + other.length - common) >= ALIKE
      end

      def demand?(words) =
        words.match?(/\b(can|must|should|shall|may|will|is|are|has|have)\b/i) || words.split.any? { |word| verb?(word) }

      # What follows "and" is a demand of its own where it begins with a verb, or names who does it.
      def second?(before, after)
        words = after.downcase.scan(/[[:alpha:]'-]+/)
        first = words.reject { |word| %w[also then not never only always].include?(word) }.first.to_s
        return false if words.length < 2

        return false if words.first.match?(/\A(of|for|to|by|in|on|with)\z/)

        if words.first(6).any? { |word| FINITE.include?(word) } || clause?(words) || (verb?(first) && !noun_pair?(before, words))
          return true
        end

        first.match?(/(ed|en)\z/) && before.match?(/\b(is|are|be)\b/) && words.length > 2
      end

      def verb?(word) = [word, English.base(word)].any? { |one| English::BASES.include?(one) || VERBS.include?(one) }

      # "the map shows outages": somebody, and a verb in the third person behind.
      def clause?(words)
        at = words.first(5).index { |word| English.base(word) != word && verb?(word) }
        at&.positive? && words[0].match?(/\A(the|a|an|it|its|each|every)\z/) && at > 1 && words.length > at + 1
      end

      # "name and address of", "report and order": nouns in a row.
      def noun_pair?(before, words)
        before.match?(/\b(the|a|an|every|each|its|their|of|by|with)\s+[[:alpha:]]+\s*\z/i) &&
          (words[1].to_s.match?(/\A(of|to|from|for|in|on|is|are|at|by)\z/) || words.length < 3)
      end
    end
  end
end
