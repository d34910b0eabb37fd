# frozen_string_literal: true

module Basalt
  module Checks
    # What one check found: of a check that looks at elements one by one, by the element.
    class Found
      # @param check [Class]
      # @param given [Object, nil] see Check.given
      def initialize(check, by_element: {}, list: nil, given: nil)
        @check = check
        @by_element = by_element
        @list = list
        @given = given
      end

      # @return [Array<Finding>] in the order of making of what they are about
      def list = @list ||= @by_element.values.sort_by(&:first).flat_map(&:last)

      # Looks at everything.
      def self.afresh(check, analysis)
        return new(check, list: check.new(analysis).findings) unless check.each

        new(check, given: check.given(analysis.set)).look(analysis, analysis.of_kind(check.each))
      end

      # Looks only at what acts reached, whatever is found elsewhere.
      #
      # @param touched [Touched]
      def self.around(check, analysis, touched)
        check.each ? new(check).look_at(analysis, check.reached(analysis, touched)) : afresh(check, analysis)
      end

      # @param touched [Touched] since this was found
      # @return [Found] as it is now
      def again(analysis, touched)
        return self unless @check.reads.intersect?(touched.kinds)
        return Found.afresh(@check, analysis) if all?(analysis.set, touched)

        ids = @check.reached(analysis, touched)
        kept = @by_element.reject { |id, _| ids.include?(id) }
        Found.new(@check, by_element: kept, given: @given).look_at(analysis, ids)
      end

      # @param ids [Enumerable<String>] of elements, of the check's kinds and others
      def look_at(analysis, ids)
        look(analysis, ids.filter_map { |id| analysis.set.element(id) }.select { |element| @check.each.include?(element.kind) })
      end

      # @param elements [Array<Model::Element>] of which nothing is known
      def look(analysis, elements)
        looking = @check.new(analysis)
        looking.among(elements)
        elements.each do |element|
          found = looking.about(element)
          @by_element[element.id] = [element.ordinal, found] unless found.empty?
        end
        self
      end

      private

      # Whether nothing of what was found can be kept.
      def all?(set, touched)
        @check.each.nil? || (touched.kinds.include?("sheet") && @check.reads.include?("sheet")) || @check.given(set) != @given
      end
    end
  end
end
