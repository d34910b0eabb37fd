# frozen_string_literal: true

module Basalt
  module Decisions
    # Which decisions stand at what they are about, on sheets that show them.
    module Signs
      MOST = 3

      module_function

      # @param ids [Array<String>] of what a sheet draws
      # @return [Hash{String => String}] by id, the names of the decisions about it that stand
      def of(set, ids)
        return {} unless set.elements.any_by?(:kind, Kinds::CONCERNS)

        ids.to_h { |id| [id, words(About.decisions(set, id).select { |one| About.stands?(set, one) })] }.compact
      end

      def words(decisions)
        return if decisions.empty?

        left = decisions.length - MOST
        "#{decisions.first(MOST).map(&:name).join(", ")}#{" +#{left}" if left.positive?}"
      end
    end
  end
end
