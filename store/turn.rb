# frozen_string_literal: true

module Store
  # Whose turn it is: one at a time, and in the order in which they came. A mutex lets those pass who happen to run when it
  # is let go of, and where many write at once some of them would wait many times as long as others.
  class Turn
    def initialize
      @guard = Mutex.new
      @waiting = []
      @depth = 0
    end

    # Whoever has the turn has it within the block too.
    def take
      enter
      yield
    ensure
      leave if mine?
    end

    # @return [Boolean] whether it was free and is taken now; +leave+ is owed then
    def try
      @guard.synchronize { (@owner.nil? || mine?) && begin_turn(Thread.current) }
    end

    def leave
      @guard.synchronize do
        next if (@depth -= 1).positive?

        @owner = nil
        @waiting.shift&.then { |thread, called| begin_turn(thread) && called.signal }
      end
    end

    private

    def enter
      @guard.synchronize do
        next begin_turn(Thread.current) if @owner.nil? || mine?

        place = [Thread.current, ConditionVariable.new]
        @waiting << place
        wait(place)
      end
    end

    # Who is stopped while waiting stands in nobody's way.
    def wait(place)
      place[1].wait(@guard) until mine?
    ensure
      @waiting.delete(place)
    end

    def begin_turn(thread)
      @owner = thread
      @depth += 1
      true
    end

    def mine? = @owner.equal?(Thread.current)
  end
end
