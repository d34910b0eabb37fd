# frozen_string_literal: true

module Basalt
  module Statements
    # What a draft would make different, in sentences: those that would no longer be said, and
    # those that would be said instead.
    module Consequence
      MOST = 40

      module_function

      # @return [Array(Array<String>, Array<String>)] gone and new
      def of(base, draft)
        ids = draft.elements.differences.map(&:first).map { |id| (draft.element(id) || base.element(id)).owner_id || id }.uniq.first(MOST)
        was, is = [base, draft].map { |set| told(set, ids) }
        [was - is, is - was]
      end

      def told(set, ids)
        unparser = Unparser.new(set)
        ids.filter_map { |id| set.element(id) }.flat_map { |element| unparser.tell(element) }
      end
    end
  end
end
