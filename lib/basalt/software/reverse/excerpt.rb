# frozen_string_literal: true

module Basalt
  module Software
    module Reverse
      # What a sheet is to show of very many classes: a package with all that is in it, or a class and its neighbours to some depth.
      class Excerpt
        LINES = %w[association aggregation composition generalisation realisation dependency].freeze
        DEEPEST = 6

        # @param set [Model::WorkingSet, Change::Draft]
        def initialize(set)
          @set = set
        end

        # @return [Array<String>] ids of the package, of what is in it, and of what that is in
        def package(id) = [id, *within(id)]

        # @param depth [Integer] steps along lines
        # @return [Array<String>] ids of classes, and of their packages
        def around(id, depth)
          found = [id]
          last = found
          depth.clamp(0, DEEPEST).times do
            near = last.flat_map { |one| @set.relations_of(one, *LINES).flat_map(&:endpoints) }.uniq
            last = near.reject { |one| found.include?(one) || part?(one) }
            found += last
          end
          found
        end

        private

        def part?(id) = !@set.element(id).owner_id.nil?
        def within(id) = @set.contents_of(id).flat_map { |one| [one.id, *within(one.id)] }
      end
    end
  end
end
