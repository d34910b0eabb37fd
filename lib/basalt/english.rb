# frozen_string_literal: true

require "dry/inflector"

module Basalt
  # How things are said.
  module English
    INFLECTOR =
      Dry::Inflector.new do |rules|
        rules.uncountable(
          %w[staff data feedback software hardware news weather works series equipment information aircraft spacecraft hovercraft
             species means headquarters crossroads barracks sheep deer fish offspring salmon trout advice baggage luggage furniture
             machinery traffic wildlife livestock firmware middleware]
        )
        # Words from Latin in us, and those in o that take an e.
        rules.plural(/\b(alumn|radi|fung|nucle|stimul|bacill|cact|loc|syllab|termin)us\z/i, '\1i')
        rules.singular(/\b(alumn|radi|fung|nucle|stimul|bacill|cact|loc|syllab|termin)i\z/i, '\1us')
        rules.plural(/\b(vet|ech|her|carg|embarg|torped|tornad|volcan|mosquit|domin|mang|potat|tomat)o\z/i, '\1oes')
        rules.singular(/\b(vet|ech|her|carg|embarg|torped|tornad|volcan|mosquit|domin|mang|potat|tomat)oes\z/i, '\1o')
        # And what ends in an e of its own before the s.
        rules.singular(/(cach|ach|avalanch|nich|crech|quich|psych)es\z/i, '\1e')
        rules.singular(/\b(mov|cook|calor|gen|prair|rook|book|self|freeb|zomb|brown|eer|smooth|sort|auct|bog)ies\z/i, '\1ie')
        rules.singular(/\b(p|t|l|d)ies\z/i, '\1ie')
        # Of nouns in f and ve few change: leaves, but roofs and valves.
        rules.plural(/f\z/i, "fs")
        rules.plural(/\b(cal|hal|el|shel|sel|wol|thie|lea|loa|scar|whar|dwar|bookshel)f\z/i, '\1ves')
        rules.singular(/ves\z/i, "ve")
        rules.singular(/\b(cal|hal|el|shel|sel|wol|thie|lea|loa|scar|whar|dwar|bookshel)ves\z/i, '\1f')
        rules.singular(/\b(kni|wi|li|midwi|housewi)ves\z/i, '\1fe')
        rules.singular(/(house|base|case|phase|lease|clause|cause|course|purchase|response|licence|expense)s\z/i, '\1')
        rules.singular(/(spouse|excuse|pause|fuse|reuse|(?<![[:alpha:]])use)s\z/i, '\1')
        {
          "safe" => "safes",
          "gas" => "gases",
          "schema" => "schemas",
          "index" => "indexes",
          "phenomenon" => "phenomena",
          "criterion" => "criteria",
          "virus" => "viruses",
          "lens" => "lenses",
          "man" => "men",
          "woman" => "women",
          "child" => "children",
          "tooth" => "teeth",
          "foot" => "feet",
          "person" => "people"
        }.each { |one, many| rules.irregular(one, many) }
      end
    # Words that sound as if they began otherwise than they are written.
    SILENT = /\A(hour|honest|honou?r|heir)/i
    # Letters that are spelled out, the first beginning with a vowel as it is spoken: an SQL script, an SLA, an X-ray, an M3 bolt.
    SPELLED = /\A(?:[FHLMNRSX](?:[B-DF-HJ-NP-TV-Z][A-Z]*s?\b|(?=[\d&-]))|(?:FAQ|ROI|MOU|SOP|LOI|SOA|LED|RO)s?\b|[AEIO](?=[\d&-])|EU\b)/
    # And those that begin with a consonant: a URL, a UPS, a U-turn.
    SPELLED_U = /\AU(?:[A-Z]{1,3}\b|(?=[\d-]))/
    YOD = /\A(uni([^nm]|\z)|use|usu|eu|ewe|one\b|once\b|ut[ei]|u\b)/i
    # Figures as they are spoken: an 8-bit word, an 11th floor, an 18-month plan, an 80-page report.
    EIGHT = /\A(?:8|11(?!\d)|18(?!\d))/

    module_function

    # @return [String] +a+, +a and b+, +a, b and c+
    def list(words)
      words.length > 1 ? "#{words[0..-2].join(", ")} and #{words.last}" : words.first.to_s
    end

    # @return [String] +1 thing+, +3 things+
    def count(number, one, many = "#{one}s")
      "#{number} #{number == 1 ? one : many}"
    end

    # @return [String] +a+ or +an+, by how the word is spoken as far as its letters tell
    def article(word)
      return "an" if word.match?(SILENT) || word.match?(SPELLED) || word.match?(EIGHT)
      return "a" if word.match?(SPELLED_U)

      word.match?(/\A[aeiou]/i) && !word.match?(YOD) ? "an" : "a"
    end

    # @return [String] without an article or the like in front
    def bare(words) = words.strip.sub(/\A(the|an?|his|her|its|their|each|every|all) +/i, "")

    # What stands behind the word that changes: units of work, mothers-in-law, attorneys general, passers-by.
    BEHIND = /
      [ -](?:of|in|at|to|on|for|with|by|from|de|and)[ -].+ | -by\z | [ ](?:general|public|martial|laureate|designate|elect)\z
    /ix
    # Whom "general" and the like stand behind; others have them before.
    RANKS = /\A(?:attorney|secretary|governor|solicitor|inspector|director|consul|notary|court|poet|president|minister|chairman)\z/i

    # @param noun [String] of one word or several; the last is the one that changes, or the one before "of" and the like
    # @return [String] for more than one
    def plural(noun) = changed(noun) { |words| last_word(words) { |word| INFLECTOR.pluralize(word) } }

    # @yieldparam words [String] those of which the last changes
    def changed(noun)
      return noun if foreign?(noun)

      head, rest = apart(noun)
      "#{yield head}#{rest}"
    end

    # @return [Boolean] whether a name is of another language, as far as its letters tell; that is not inflected
    def foreign?(noun) = noun.match?(/[^[:ascii:]]/) && noun.match?(/(?![é’‘–])[^[:ascii:]]/)

    def apart(noun)
      at = noun.index(BEHIND) or return [noun, ""]
      head = noun[0...at]
      return [noun, ""] if noun[at..].match?(/\A (?:general|public|martial|laureate|designate|elect)\z/i) && !head.match?(RANKS)

      head.strip.empty? ? [noun, ""] : [head, noun[at..]]
    end

    # Words that begin a verb phrase, and those that make one of the word before them.
    AUXILIARIES = %w[is are was were be has have had does do did can could may might must shall should will would].freeze
    PARTICLES = %w[
      to
      of
      out
      up
      in
      on
      at
      for
      from
      by
      with
      off
      into
      under
      over
      through
      about
      as
      after
      against
      between
      down
      upon
      within
      without
    ].freeze
    # Endings of nouns made from verbs, in one or in many.
    NOMINAL = /(ment|ship|tion|sion|ness|ity|ance|ence|dom|hood|age|ure|ery|ism|ist|logy|al)(s|ies)?\z/i
    BASES = %w[
      accept
      acknowledge
      act
      add
      alert
      allocate
      allow
      answer
      apply
      approve
      arrange
      ask
      assess
      assign
      attend
      authorise
      belong
      book
      bring
      build
      buy
      call
      cancel
      carry
      cause
      change
      charge
      check
      choose
      close
      collect
      come
      comprise
      concern
      confirm
      connect
      consist
      contact
      contain
      control
      cover
      create
      deal
      decide
      deliver
      depend
      describe
      design
      detect
      determine
      direct
      do
      drive
      drop
      dispatch
      earn
      employ
      enrol
      enter
      escalate
      examine
      experience
      feed
      fill
      find
      fit
      fix
      follow
      form
      fulfil
      gather
      get
      give
      go
      govern
      grant
      group
      handle
      have
      head
      help
      hold
      house
      identify
      include
      inform
      inspect
      install
      instruct
      invoice
      involve
      issue
      join
      keep
      know
      lead
      leave
      lend
      let
      like
      link
      list
      live
      locate
      log
      maintain
      make
      manage
      mark
      measure
      meet
      mentor
      mention
      monitor
      move
      name
      need
      notify
      observe
      occupy
      occur
      offer
      open
      operate
      order
      organise
      own
      park
      pass
      pay
      perform
      place
      plan
      play
      precede
      prescribe
      produce
      provide
      publish
      purchase
      put
      qualify
      quote
      raise
      rank
      reach
      read
      receive
      record
      refer
      register
      reject
      relate
      release
      rent
      repair
      replace
      report
      represent
      request
      require
      reserve
      reside
      respond
      return
      review
      run
      satisfy
      schedule
      see
      sell
      send
      serve
      set
      settle
      share
      ship
      show
      sign
      signal
      specify
      spend
      sponsor
      staff
      start
      stand
      stay
      stock
      stop
      store
      study
      submit
      succeed
      supervise
      supply
      support
      take
      teach
      tell
      test
      track
      train
      transfer
      transport
      treat
      trigger
      turn
      undergo
      undertake
      update
      use
      validate
      visit
      wait
      want
      watch
      wear
      win
      work
      write
    ].to_set.freeze

    # @return [Boolean] whether words can stand between a subject and an object as their verb, as
    #   far as form and a list of common verbs tell
    def verb_phrase?(words)
      first, second = words.downcase.split.grep(/[[:alpha:]]/)
      return false if first.nil?
      return true if AUXILIARIES.include?(first) || (BASES.include?(base(first)) && base(first) != first)
      return false if first.match?(NOMINAL) && !first.match?(/(raises|averages|manages|measures)\z/)

      if PARTICLES.include?(second.to_s)
        first.match?(/(s|ed|ing)\z/)
      else
        first.match?(/[^s]s\z/) && words.split.length == 1 && !first.match?(/(us|is|ers|ors)\z/)
      end
    end

    # @return [String] a verb as it stands in a list of words
    def base(verb) = Verbs.plain(verb)

    # @return [String] for one
    def singular(noun) = changed(noun) { |words| last_word(words) { |word| INFLECTOR.singularize(word) } }

    # @return [Boolean] whether a noun is there for more than one
    def plural?(noun)
      word = noun[/\S+\z/].to_s
      return false if word.match?(/(ss|us|is|as|os)\z/i)

      one = INFLECTOR.singularize(word)
      !one.casecmp?(word) && INFLECTOR.pluralize(one).casecmp?(word)
    end

    def last_word(noun)
      head, word = noun.match(/\A(.*?)(\S*)\z/m).captures
      changed = yield word
      if word == word.upcase && word.length > 1 && word.match?(/[A-Z]/)
        "#{head}#{word}#{"s" if changed.downcase != word.downcase}"
      else
        "#{head}#{changed}"
      end
    end
  end
end
