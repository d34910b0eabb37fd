# frozen_string_literal: true

module Basalt
  module Statements
    # What may be said of a thing behind its name. Without blocks, a quality sets the facts
    # that its pattern captures (a pattern of words alone sets the flag +fact+), and is told
    # by filling the pattern again.
    class Quality
      # One that tells a fact in words around one of its choices.
      #
      # @yieldparam value [String] of the fact
      # @yieldreturn [Array<String>] parts to say
      def self.chosen(kinds, source, fact, &words)
        new(
          kinds,
          source,
          take: ->(context, element, said) { context.set(element.id, fact, said[fact.to_sym]) },
          tell: ->(_, element) { element[fact] ? [words.call(element[fact])] : [] },
          clear: ->(context, element, _) { context.set(element.id, fact, nil) }
        )
      end

      # @param kinds [String, Array<String>] kinds that carry it
      # @param source [String] its pattern
      # @param fact [String, nil] the flag it sets
      # @param take [#call, nil] gets context, element and captures
      # @param tell [#call, nil] gets unparser and element, returns arrays of parts
      # @param clear [#call, nil] gets context, element and captures, and takes back what was said
      # @param blocks [#call, nil] gets set and element and returns the ids of what it is in by this quality, the outermost first:
      #   what several say of the same stands in a block (see Blocks)
      # @param outermost [Boolean] whether it says that something is in nothing, whatever else of its name there is
      # @param late [Boolean] whether it joins to something else: in a text it waits until everything is declared
      def initialize(kinds, source, fact: nil, take: nil, tell: nil, clear: nil, late: false, blocks: nil, outermost: false)
        @outermost = outermost
        @late = late
        @blocks = blocks
        @kinds = Array(kinds)
        @source = source
        @fact = fact
        @take = take
        @tell = tell
        @clear = clear
      end

      attr_reader :kinds, :source, :blocks

      def late? = @late
      def outermost? = @outermost
      def nodes = @nodes ||= Pattern.compile(source)

      def take(context, element, captures)
        return @take.call(context, element, captures) if @take

        values = @fact ? { @fact => true } : captures.transform_keys(&:to_s)
        values.each { |fact, value| context.set(element.id, fact, value) }
      end

      # @return [Array<String>] names of the facts that it sets where it says this, as far as its pattern tells
      def facts(captures) = @fact ? [@fact] : captures.keys.map(&:to_s)

      # @param captures [Hash] as they were said
      def clear(context, element, captures)
        return @clear.call(context, element, captures) if @clear
        return if @take

        facts = @fact ? [@fact] : nodes.flat_map { |node| slots(node) }
        facts.each { |fact| context.set(element.id, fact, nil) }
      end

      # @return [Boolean] whether saying it once more leaves nothing of what was said before
      def replaced? = @take.nil? && nodes.grep(Pattern::Maybe).empty?

      # @return [Array<Array>] for each time it is to be said, the parts to say
      def tell(unparser, element)
        return @tell.call(unparser, element) if @tell
        return element[@fact] ? [[source]] : [] if @fact

        @told ||= nodes.grep(Pattern::Slot).map { |slot| slot.name.to_s }
        return [] unless @told.all? { |fact| element[fact] }

        [nodes.map { |node| node.is_a?(Pattern::Slot) ? unparser.value(node, element[node.name.to_s]) : node.words.first }]
      end

      private

      def slots(node)
        case node
        when Pattern::Slot then [node.name.to_s]
        when Pattern::Maybe then node.nodes.flat_map { |inner| slots(inner) }
        else []
        end
      end
    end
  end
end
