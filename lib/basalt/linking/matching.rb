# frozen_string_literal: true

module Basalt
  module Linking
    # Things and sheets that belong together by name: first those that are called the same exactly, then of the rest those whose
    # names come to the same, then with words left out. Where several would do, none is taken.
    class Matching
      # +ids+ of things and of sheets among which nothing tells.
      Equal = Value.of(:things, :sheets)
      # +how+ is +:exact+, +:normal+ or +:shortened+.
      Pair = Value.of(:thing, :sheet, :how)

      # @param things [Hash{String => String, nil}] names by id
      # @param sheets [Hash{String => String, Array<String>, nil}] names by id
      # @param without [Array<String>] words to leave out at the beginning or at the end
      # @param shared [Boolean] whether many things of one name all belong to what is called so
      def initialize(things, sheets, without: [], shared: false)
        @things = things.compact
        @sheets = sheets.compact
        @without = without.map { |words| Key.parts(words) }.reject(&:empty?)
        @shared = shared
        @edges = @without.map { |words| Key.join(words) }
        @normal = {}.compare_by_identity
        # One word alone is mostly the last.
        @last = @edges.first if @without.length == 1 && @without.first.length == 1 && @edges.first.match?(/\A[a-z]+\z/)
        @pairs = []
        @equal = []
        stages.each { |how, key| stage(how, key) }
      end

      # @return [Array<Pair>]
      attr_reader :pairs
      # @return [Array<Equal>]
      attr_reader :equal

      # @return [Array<String>] ids of the things that nothing was found for, and of the sheets
      def left_things = @things.keys
      def left_sheets = @sheets.keys

      private

      def stages
        [
          [:exact, ->(name) { name }],
          [:normal, ->(name) { normal(name) }],
          *([[:shortened, ->(name) { shortened(name) }]] if @without.any?)
        ]
      end

      def normal(name) = @normal[name] ||= Key.normal(name)

      # A name is taken apart only where it begins or ends with what is left out.
      def shortened(name)
        whole = normal(name) or return
        return whole unless @edges.any? { |words| whole.start_with?(words) || whole.end_with?(words) }

        (@last && name.ascii_only? && Key.without_last(name, whole, @last)) || Key.shortened(name, @without)
      end

      # Whatever is met at one stage is no longer looked at in the next.
      def stage(how, key)
        sheets = grouped(@sheets, key)
        grouped(@things, key, among: sheets).each do |name, own|
          ids, others = [own, sheets[name]].map { |all| Array(all) }
          others.one? && (ids.one? || @shared) ? pair(ids, others.first, how) : @equal << Equal.new(things: ids, sheets: others)
          ids.each { |id| @things.delete(id) }
          others.each { |id| @sheets.delete(id) }
        end
      end

      def pair(ids, sheet, how) = ids.each { |thing| @pairs << Pair.new(thing:, sheet:, how:) }

      # @param among [Hash, nil] names that matter; nil for all
      # @return [Hash{String => String, Array<String>}] the one that is called so, or all
      def grouped(names, key, among: nil)
        groups = {}
        names.each do |id, name|
          name = key.call(name)
          next if name.nil? || (among && !among.key?(name))

          known = groups[name]
          groups[name] = known ? [*known, id] : id
        end
        groups
      end
    end
  end
end
