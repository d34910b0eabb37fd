# frozen_string_literal: true

module Basalt
  module Software
    module Interactions
      # Who is busy from when to when (UML 2.5.1, 17.2.3, ExecutionSpecification), from how calls and answers stand in each other; and
      # the numbers that messages have by that.
      #
      # A call makes who hears it busy until the answer or, without one, until whoever asked, or somebody before, goes on. In the branches
      # of a fragment everything begins as it was before it; what was asked before is over behind it where every branch answered.
      class Executions
        # +from+ and +to+ count the items of the course, from 0; +depth+ is how many of the same participant lie beneath it.
        Bar = Value.of(:participant_id, :from, :to, :depth)

        # One that is open, at a +place+ of the stack: +last+ is the last item that belongs to it, +told+ how many messages were
        # numbered in it.
        Frame = Struct.new(:participant_id, :caller_id, :call_id, :from, :last, :depth, :number, :told, :place)
        private_constant :Frame

        # @param course [Course]
        def initialize(course)
          @course = course
          @bars = []
          @depths = {}
          @numbers = {}
          @answers = {}
          @astray = []
          @unanswered = []
          @places = course.flat.each_with_index.to_h { |item, index| [item.element.id, index] }
          @held = held(course)
          @root = Frame.new(nil, nil, nil, 0, 0, 0, nil, 0)
          @stack = []
          # Those of the stack by participant.
          @open = Hash.new { |table, id| table[id] = [] }
          walk(course.items, 0)
          close(0)
        end

        # @return [Array<Bar>]
        attr_reader :bars

        # @return [Hash{String => Array(Integer, nil)}] by message, the depths of the bars at both of its ends; nil where there is none
        attr_reader :depths

        # @return [Hash{String => String}] by message, as +1.2+; answers have none
        attr_reader :numbers

        # @return [Hash{String => String}] by answer, the call that it answers
        attr_reader :answers

        # @return [Array<String>] answers to nothing that was asked
        attr_reader :astray

        # @return [Array<String>] calls that nobody answers in any branch
        def unanswered = @unanswered - @answers.values

        private

        # @return [Set<Frame>] what was open before and answered here
        def walk(items, base)
          items.each_with_object(Set.new.compare_by_identity) do |item, answered|
            at = @places[item.element.id]
            if item.fragment? then answered.merge(branches(item, base))
            elsif item.message? then answered.merge(message(item.element, at, base))
            else marked(item.element, at)
            end
          end
        end

        def branches(item, base)
          over = every(item, item.branches.map { |branch| branch(branch) })
          here, beyond = over.partition { |frame| place(frame).to_i >= base }
          here.each { |frame| place(frame)&.then { |at| close(at) } }
          beyond
        end

        # @return [Integer, nil] nil where it is open no more
        def place(frame) = (frame.place if @stack[frame.place].equal?(frame))

        def branch(branch)
          base = @stack.length
          answered = walk(branch.items, base)
          close(base)
          answered
        end

        # What is over behind a fragment, whichever way was gone.
        def every(item, found)
          return found.reduce(:+) || [] if item.element["operator"] == Kinds::PARALLEL
          return [] unless item.element["operator"] == Kinds::EITHER && otherwise?(item)

          found.reduce { |one, other| one.select { |frame| other.include?(frame) }.to_set.compare_by_identity } || []
        end

        def otherwise?(item) = item.branches.any? { |branch| branch.element["guard"].to_s.strip == Kinds::OTHERWISE }

        def message(one, at, base)
          from = one.target("from") unless one["open"] == Kinds::FOUND
          to = one.target("to") unless one["open"] == Kinds::LOST
          return answer(one, from, to, at, base) if one["sort"] == Kinds::ANSWER

          back_to(from, base)
          sender = top(from)
          number(one, sender)
          touch(sender, at)
          depth = sender&.depth
          @depths[one.id] = [depth, heard(one, from, to, at)]
          []
        end

        # @return [Integer, nil] the depth of the bar at whom it reaches
        def heard(one, from, to, at)
          return unless to

          case one["sort"] || Kinds::CALL
          when Kinds::CALL, Kinds::ASYNCHRONOUS then push(one, from, to, at)
          when Kinds::DESTRUCTION then touch(top(to), at)&.depth
          end
        end

        def push(one, from, to, at)
          depth = @open[to].length
          asked = (one["sort"] || Kinds::CALL) == Kinds::CALL
          @unanswered << one.id if asked && from && from != to
          @stack << Frame.new(to, asked ? from : nil, one.id, at, at, depth, @numbers[one.id], 0, @stack.length)
          @open[to] << @stack.last
          close(@stack.length - 1) if asked && from == to && !@held.include?(one.id)
          depth
        end

        def answer(one, from, to, at, base)
          frame = @open[from].reverse_each.find { |one| one.caller_id && (to.nil? || one.caller_id == to) }
          unless frame
            @astray << one.id
            @depths[one.id] = [touch(top(from), at)&.depth, touch(top(to), at)&.depth]
            return []
          end

          place = frame.place
          frame.last = at
          @answers[one.id] = frame.call_id
          depth = frame.depth
          place >= base ? close(place) : close(base)
          @depths[one.id] = [depth, touch(top(to), at)&.depth]
          place >= base ? [] : [frame]
        end

        def marked(one, at) = one.endpoints.uniq.each { |id| touch(top(id), at) }

        # What somebody asks themselves is done at once, unless they answer themselves behind it.
        #
        # @return [Set<String>] ids of those calls that go on
        def held(course)
          found = Set.new
          course.each_run do |items|
            own = items.select { |item| item.message? && item.element["open"].nil? && item.element.endpoints.uniq.one? }.map(&:element)
            answered = Set.new
            own.reverse_each do |one|
              found << one.id if answered.include?(one.endpoints)
              answered << one.endpoints if one["sort"] == Kinds::ANSWER
            end
          end
          found
        end

        # Whoever speaks is no longer waiting for those whom they asked.
        def back_to(id, base)
          return unless id

          close([top(id) ? top(id).place + 1 : 0, base].max)
        end

        def top(id) = id && @open[id].last

        def touch(frame, at)
          frame.last = at if frame
          frame
        end

        def number(one, sender)
          frame = sender || @root
          frame.told += 1
          @numbers[one.id] = [frame.number, frame.told].compact.join(".")
        end

        # Ends what is open from that place on.
        def close(place)
          while @stack.length > place
            frame = @stack.pop
            @open[frame.participant_id].pop
            @bars << Bar.new(participant_id: frame.participant_id, from: frame.from, to: frame.last, depth: frame.depth)
            carry(frame)
          end
        end

        # Who asked was busy all the while, and so is what lies beneath.
        def carry(frame)
          waiting = @open[frame.participant_id]
          waiting += [@stack.last] if frame.caller_id && @stack.any?
          waiting.each { |other| other.last = frame.last if other.last < frame.last }
        end
      end
    end
  end
end
