# frozen_string_literal: true

module Basalt
  module Software
    module Interactions
      # Who speaks or hears before somebody created them, or after somebody destroyed them, on any way through the course.
      class Lives
        # @param course [Course]
        def initialize(course)
          @created = course.messages.select { |one| one["sort"] == Kinds::CREATION }.to_set { |one| one.target("to") }
          @early = []
          @late = []
          walk(course.items, Set.new, Set.new)
        end

        # @return [Array<Array(String, String)>] message and participant
        attr_reader :early, :late

        private

        # @param born [Set<String>] who may have been created by then
        # @param dead [Set<String>] who is destroyed by then, whichever way was gone
        # @return [Array(Set<String>, Set<String>)] the same behind it
        def walk(items, born, dead)
          items.reduce([born, dead]) do |(alive, ended), item|
            item.fragment? ? branches(item, alive, ended) : one(item.element, alive, ended)
          end
        end

        def branches(item, born, dead)
          found = item.branches.map { |branch| walk(branch.items, born, dead) }
          return [born, dead] if found.empty?

          every = item.element["operator"] == Kinds::PARALLEL ||
                  (item.element["operator"] == Kinds::EITHER && item.branches.any? { |one|
                    one.element["guard"].to_s.strip == Kinds::OTHERWISE
                  })
          ends = found.map(&:last)
          over = item.element["operator"] == Kinds::PARALLEL ? ends.reduce(:|) : ends.reduce(:&)
          [found.map(&:first).reduce(born, :|), every ? dead | over : dead]
        end

        def one(message, born, dead)
          return [born, dead] unless message.kind == "message"

          to = message.target("to")
          making = message["sort"] == Kinds::CREATION ? to : nil
          message.endpoints.uniq.each do |id|
            @late << [message.id, id] if dead.include?(id)
            @early << [message.id, id] if @created.include?(id) && !born.include?(id) && id != making
          end
          [making ? born | [to] : born, message["sort"] == Kinds::DESTRUCTION ? dead | [to] : dead - [making]]
        end
      end
    end
  end
end
