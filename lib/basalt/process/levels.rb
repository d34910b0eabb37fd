# frozen_string_literal: true

module Basalt
  module Process
    # Processes within processes: their numbers, and who is whose.
    module Levels
      module_function

      # @return [Array<Model::Element>] the processes within one, in order; the topmost where it is nil
      def children(set, process_id)
        found =
          process_id ? set.contents_of(process_id).select { |one| one.kind == "process" } : set.of_kind("process").reject(&:container_id)
        found.sort_by { |one| [one["position"] || (one.ordinal + 10_000), one.ordinal] }
      end

      # @return [Array<String>] ids from the process up to the topmost that contains it
      def chain(set, id)
        found = Set.new
        id = set.element(id).container_id while id && set.element(id)&.kind == "process" && found.add?(id)
        found.to_a
      end

      # @return [Array<String>] ids of the processes that something is within, from the first below the topmost inwards
      def around(set, element)
        found = chain(set, element.container_id).reverse
        found.length > 1 ? found.drop(1) : found
      end

      # The number of a process as its place among its siblings gives it: 1.0 on the first level,
      # 1.1, 1.1.1 beneath (DeMarco, "Structured Analysis and System Specification", 1978); none
      # for the process that the context is about.
      #
      # @return [String, nil]
      def number(set, process)
        places =
          chain(set, process.id)[0..-2].map { |id| children(set, set.element(id).container_id).index { |one| one.id == id } + 1 }.reverse
        return if places.empty?

        places.one? ? "#{places.first}.0" : places.join(".")
      end

      # @return [Boolean] whether something is the process or is within it
      def within?(set, id, process_id) = chain(set, id).include?(process_id)

      # @return [Array<Model::Element>] the process and all within it
      def tree(set, process_id)
        found = []
        waiting = [set.element(process_id)]
        while (one = waiting.pop)
          found << one
          waiting.concat(children(set, one.id).reverse)
        end
        found
      end

      # @return [Boolean] whether a process that is within no other stands on the sheet of another
      def apart?(set, process)
        process.container_id.nil? &&
          set
            .sheets_of(process.id)
            .any? do |id|
              set.sheets[id].subject_id && set.sheets[id].subject_id != process.id && set.sheets[id].notation.within?("process")
            end
      end

      # What stands for something on the level on which a process is drawn: itself, or what it is
      # within, as far down as they have no process in common.
      #
      # @return [String] id
      def seen_from(set, id, process_id)
        common = chain(set, process_id)
        chain(set, id).reverse.find { |one| !common.include?(one) } || id
      end
    end
  end
end
