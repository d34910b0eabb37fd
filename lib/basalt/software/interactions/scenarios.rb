# frozen_string_literal: true

module Basalt
  module Software
    module Interactions
      # Every way through an interaction: counted, and the first of them step by step. Of alternatives one branch is gone, or none where
      # nothing says what happens otherwise; an option is taken or not; a loop goes round not at all, once and twice, as far as it may;
      # a break is taken, and the rest of what holds it is left out, or not. What happens at the same time is told one after the
      # other, and a reference is one step.
      class Scenarios
        # What is done, or under which condition: +id+ is of the message, mark, fragment or branch.
        Step = Value.of(:id, :text, :condition) do
          def condition? = condition == true
        end
        # Of so many the steps are told.
        MOST = 200
        # With more fragments the ways are only counted.
        MOST_FRAGMENTS = 300
        ROUNDS = [0, 1, 2].freeze

        # @param set [Model::WorkingSet, Model::PinnedSet, Change::Draft]
        # @param interaction_id [String]
        def initialize(set, interaction_id)
          @set = set
          @course = Course.new(set, interaction_id)
        end

        # @return [Integer]
        def count = @count ||= ways(@course.items).sum

        # @return [Array<Array<Step>>] at most MOST; none where there are too many fragments
        def list = @list ||= first(MOST)

        # @return [Array<Array<Step>>] at most so many
        def first(most)
          found = []
          return found if too_many?

          catch(:enough) do
            walk(@course.items, []) do |steps, _|
              found << steps
              throw(:enough) if found.length >= most
            end
          end
          found
        end

        # @param operator [String] of fragments
        def any?(operator) = @course.flat.any? { |item| item.fragment? && item.element["operator"] == operator }

        def too_many? = @course.flat.count(&:fragment?) > MOST_FRAGMENTS

        private

        # @return [Array(Integer, Integer)] ways to the end of a run, and those that are broken off
        def ways(items)
          items.reduce([1, 0]) do |(whole, broken), item|
            through, off = item.fragment? ? through(item) : [1, 0]
            [whole * through, broken + (whole * off)]
          end
        end

        def through(item)
          inner = item.branches.map { |branch| ways(branch.items) }
          case item.element["operator"]
          when Kinds::EITHER then [inner.sum(&:sum) + (otherwise?(item) ? 0 : 1), 0]
          when Kinds::OPTION then [inner.sum(&:sum) + 1, 0]
          when Kinds::LOOP then [rounds(item).sum { |times| round(inner.first || [1, 0], times) }, 0]
          when Kinds::PARALLEL then [inner.map(&:sum).reduce(1, :*), 0]
          when Kinds::BREAK then [1, inner.sum(&:sum)]
          else [1, 0]
          end
        end

        def round((whole, broken), times) = times.zero? ? 1 : (whole**(times - 1)) * (whole + broken)

        # @return [Array<Integer>] how often a loop goes round
        def rounds(item)
          least, most = item.element["times"].to_s.split(" to ")
          return ROUNDS unless least

          most = most ? (most == "many" ? Float::INFINITY : most.to_i) : least.to_i
          within = ROUNDS.select { |times| times.between?(least.to_i, most) }
          within.empty? ? [ROUNDS.last] : within
        end

        def otherwise?(item) = item.branches.any? { |branch| otherwise(branch) }
        def otherwise(branch) = branch.element["guard"].to_s.strip == Kinds::OTHERWISE

        # @yieldparam steps [Array<Step>]
        # @yieldparam broken [Boolean] whether the rest is left out
        def walk(items, steps, &done)
          plain = items.take_while { |item| !item.fragment? || item.branches.empty? }
          steps += plain.map { |item| step(item) }
          return done.call(steps, false) if plain.length == items.length

          one(items[plain.length], steps) do |further, broken|
            broken ? done.call(further, true) : walk(items.drop(plain.length + 1), further, &done)
          end
        end

        def one(item, steps, &)
          case item.element["operator"]
          when Kinds::EITHER then either(item, steps, &)
          when Kinds::LOOP then again(item, steps, &)
          when Kinds::PARALLEL then together(item.branches, steps, &)
          else perhaps(item, steps, item.element["operator"] == Kinds::BREAK, &)
          end
        end

        def either(item, steps, &done)
          item.branches.each { |branch| inside(branch, steps, branch_words(branch)) { |further| done.call(further, false) } }
          done.call(steps + [condition(item.element.id, "none of the conditions holds")], false) unless otherwise?(item)
        end

        def perhaps(item, steps, breaks, &done)
          branch = item.branches.first
          inside(branch, steps, branch_words(branch)) { |further| done.call(further, breaks) }
          done.call(steps + [condition(branch.element.id, "not: #{said(branch)}")], false)
        end

        def again(item, steps, &done)
          branch = item.branches.first
          rounds(item).each do |times|
            next done.call(steps + [condition(item.element.id, "not once#{": #{said(branch)}" if branch.element["guard"]}")],
                           false) if times.zero?

            round_of(branch, times, 1, steps, &done)
          end
        end

        def round_of(branch, times, number, steps, &done)
          words = "#{%w[once again].fetch(number - 1)}#{", while #{said(branch)}" if branch.element["guard"]}"
          walk(branch.items, steps + [condition(branch.element.id, words)]) do |further, broken|
            next done.call(further, false) if number == times

            round_of(branch, times, number + 1, further, &done) unless broken
          end
        end

        def together(branches, steps, &done)
          return done.call(steps, false) if branches.empty?

          first, *rest = branches
          walk(first.items, steps) { |further, _| together(rest, further, &done) }
        end

        def inside(branch, steps, words)
          walk(branch.items, steps + [condition(branch.element.id, words)]) { |further, _| yield further }
        end

        def said(branch) = branch.element["guard"] || "nobody said when"
        def branch_words(branch) = otherwise(branch) ? "otherwise" : "when #{said(branch)}"
        def condition(id, text) = Step.new(id:, text:, condition: true)
        def step(item) = Step.new(id: item.element.id, text: Telling.of(@set, item.element))
      end
    end
  end
end
