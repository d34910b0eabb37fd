# frozen_string_literal: true

require "tsort"

module Basalt
  module Software
    # Things that lead to each other in a circle: the strongly connected parts of a graph (Tarjan, 1972).
    module Circles
      module_function

      # @param pairs [Array<Array(String, String)>] from and to
      # @return [Array<Array<String>>] each circle; what leads to itself is one by itself
      def of(pairs)
        after = Hash.new { |table, id| table[id] = [] }
        pairs.each { |from, to| after[from] << to }
        TSort
          .strongly_connected_components(->(&found) { after.keys.each(&found) }, ->(id, &found) { after.fetch(id, []).each(&found) })
          .select { |ids| ids.length > 1 || after.fetch(ids.first, []).include?(ids.first) }
      end
    end
  end
end
