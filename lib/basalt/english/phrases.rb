# frozen_string_literal: true

module Basalt
  module English
    # How what is done is called, by a verb and what it is done to, and what is passed on, by a noun.
    module Phrases
      # Verbs whose plain form is a noun as often: as the only word they name a thing.
      BOTH = %w[
        report
        order
        request
        answer
        call
        record
        review
        check
        issue
        plan
        schedule
        offer
        claim
        quote
        track
        test
        change
        drop
        supply
        return
        visit
        watch
        reply
        need
        approach
        help
        work
        map
        invoice
        archive
        mail
        transfer
        release
        repair
        measure
        mark
        form
        use
        share
        design
        experience
        stock
        store
        contact
        place
        stop
        show
        study
        influence
        access
        process
        sample
        survey
        list
        update
        charge
        pay
        flow
        feed
        queue
        batch
        file
        note
        notice
        query
        result
        permit
        deposit
        transport
        look
        move
        run
        start
        stay
        trade
        delay
        debit
        credit
        refund
        audit
        forecast
        estimate
        exchange
        purchase
        sale
        delivery
        log
        alarm
        alert
        block
        support
      ].to_set.freeze
      MORE = %w[
        abandon
        adjust
        administer
        advise
        agree
        allocate
        amend
        analyse
        archive
        assemble
        audit
        balance
        bill
        block
        calculate
        call
        collate
        compare
        compile
        compute
        convert
        copy
        count
        credit
        debit
        deduct
        deliver
        diagnose
        digitise
        dismiss
        display
        distribute
        download
        draw
        edit
        email
        enquire
        estimate
        evaluate
        examine
        exchange
        execute
        extract
        fetch
        file
        filter
        forecast
        forward
        generate
        grade
        hire
        import
        inform
        initiate
        inventory
        investigate
        invite
        itemise
        label
        locate
        look
        mail
        match
        mend
        merge
        migrate
        monitor
        obtain
        oversee
        pack
        participate
        post
        prepare
        print
        prioritise
        process
        procure
        program
        prove
        query
        queue
        reconcile
        reduce
        refund
        remind
        remove
        renew
        reply
        research
        resolve
        restore
        retain
        retrieve
        route
        sample
        scan
        search
        select
        separate
        ship
        sort
        split
        store
        summarise
        survey
        test
        total
        trace
        transcribe
        transmit
        transform
        type
        unload
        upload
        verify
        void
        weigh
        withdraw
        recognise
        realise
        organise
        identify
        categorise
        classify
        reassign
        reopen
        resend
        escalate
        dispense
        admit
        acquire
        arrive
        attach
        capture
        certify
        confirm
        consolidate
        contract
        defer
        define
        derive
        determine
        develop
        dispute
        divert
        document
        enable
        enforce
        ensure
        enter
        establish
        exclude
        explain
        expose
        extend
        focus
        forbid
        guide
        ignore
        implement
        improve
        increase
        insert
        integrate
        interview
        introduce
        invoke
        judge
        justify
        launch
        learn
        list
        load
        log
        lower
        maintain
        map
        negotiate
        nominate
        note
        outline
        pick
        place
        plot
        poll
        postpone
        predict
        present
        prevent
        probe
        promise
        promote
        propose
        protect
        publish
        pursue
        question
        rate
        rebuild
        reclaim
        recommend
        recruit
        redirect
        refine
        refuse
        reinstate
        rely
        repeat
        rephrase
        reschedule
        reserve
        reset
        resubmit
        revise
        reward
        sanction
        screen
        secure
        simulate
        solve
        specify
        stage
        state
        steer
        strike
        strip
        submit
        subscribe
        suggest
        suspend
        tally
        terminate
        tidy
        tighten
        translate
        treat
        unblock
        vote
        warn
        welcome
      ].to_set.freeze
      # Nouns behind which a word that could be a verb is none.
      KINDS_OF = %w[centre center book map system index list sheet plan desk log slip card].to_set.freeze
      PAIRS = [
        "work order",
        "order form",
        "claim form",
        "repair report",
        "request form",
        "report form",
        "delivery note",
        "call record"
      ].to_set.freeze
      HEADS = /\A(#{%w[form list sheet note number book log slip card data details status date history copy record file message
                       confirmation request].join('|')})s?\z/
      # As adjectives in front of a noun they are no verbs.
      ADJECTIVES = %w[open close clear clean complete direct empty present separate live welcome correct perfect].to_set.freeze
      NOUNS = {
        "assess" => "assessment",
        "approve" => "approval",
        "confirm" => "confirmation",
        "notify" => "notification",
        "deliver" => "delivery",
        "pay" => "payment",
        "apply" => "application",
        "inform" => "information",
        "register" => "registration",
        "complain" => "complaint",
        "inspect" => "inspection",
        "decide" => "decision",
        "reserve" => "reservation",
        "instruct" => "instruction",
        "quote" => "quotation",
        "cancel" => "cancellation",
        "authorise" => "authorisation",
        "describe" => "description",
        "measure" => "measurement"
      }.freeze
      NOT_VERBS = %w[data news process details status address business access this is has was].to_set.freeze

      module_function

      # @return [String] a name of somebody or something, from the words of a text
      def titled(text) = Systems.titled(text)

      # @return [String] a process, from the words that tell what somebody does
      def done(text)
        words = bare(text).split
        first = English.base(words.first.to_s.downcase)
        titled([verb?(first) ? first : words.first, *words.drop(1)].join(" "))
      end

      # @return [String] without an article in front
      def bare(name) = English.bare(name)

      # @return [Boolean] whether words tell what to do: a verb in its plain form, and something behind it
      def imperative?(name)
        words = name.downcase.scan(/[[:alpha:]'-]+/)
        return false if words.empty?

        if BOTH.include?(words.first) &&
           (words.length == 1 || (words.length == 2 && (KINDS_OF.include?(words.last) || PAIRS.include?(words.join(" ")))))
          return false
        end

        verb?(words.first) && !(words.length == 2 && opened?(words))
      end

      # @return [Boolean] whether words tell what somebody does, as a name of a flow should not
      def verb_name?(name)
        words = bare(name).downcase.scan(/[[:alpha:]'-]+/)
        return false if words.empty? || NOT_VERBS.include?(words.first) || words[1] == "of"

        third?(words) ||
          (
            verb?(words.first) && words.length > 1 &&
              (!BOTH.include?(words.first) || words[1].match?(/\A(the|an?|to|for|about|that)\z/)) && !compound?(words)
          ) || words.first == "to"
      end

      # A noun for what is done, where one can be made of it.
      #
      # @return [String, nil]
      def noun(name)
        words = bare(name).sub(/\Ato\s+/i, "").split
        verb = English.base(words.first.to_s.downcase)
        rest = words.drop(1).reject { |word| word.match?(/\A(the|an?)\z/i) }
        return (rest.empty? ? nil : rest.join(" ")) unless NOUNS.key?(verb)

        [*rest, NOUNS[verb]].join(" ")
      end

      def verb?(word) = BASES.include?(word) || MORE.include?(word)

      # "reports a leak": a third person, and something that it is done to.
      def third?(words)
        base = English.base(words.first)
        base != words.first && verb?(base) && words.length > 1 &&
          (!BOTH.include?(base) || words[1].match?(/\A(the|an?|to|that|on|off|for)\z/))
      end

      # "order form", "check list": a noun in front of a noun, although both are verbs elsewhere.
      def compound?(words)
        return true if words.length == 2 && opened?(words)

        BOTH.include?(words.first) && words.length == 2 && words.last.match?(HEADS)
      end

      # "open jobs": a verb that is an adjective there.
      def opened?(words)
        ADJECTIVES.include?(words.first) &&
          words.last.match?(/[^s]s\z|\A(report|work|order|request|item|case|channel|flow|water|copy|record)\z/)
      end
    end
  end
end
