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
        @parts = {}
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
          [:normal, ->(name) { Key.join(parts(name)) }],
          *([[:shortened, ->(name) { Key.join(Key.shorten(parts(name), @without)) }]] if @without.any?)
        ]
      end

      # Each name is taken apart once.
      def parts(name) = @parts[name] ||= Key.parts(name)

      # Whatever is met at one stage is no longer looked at in the next.
      def stage(how, key)
        things, sheets = [@things, @sheets].map { |names| grouped(names, key) }
        things.each do |name, ids|
          others = sheets[name] or next
          others.one? && (ids.one? || @shared) ? pair(ids, others.first, how) : @equal << Equal.new(things: ids, sheets: others)
          ids.each { |id| @things.delete(id) }
          others.each { |id| @sheets.delete(id) }
        end
      end

      def pair(ids, sheet, how) = ids.each { |thing| @pairs << Pair.new(thing:, sheet:, how:) }

      def grouped(names, key)
        names.each_with_object({}) do |(id, name), groups|
          name = key.call(name) or next
          (groups[name] ||= []) << id
        end
      end
    end
  end
end
