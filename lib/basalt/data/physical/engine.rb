# frozen_string_literal: true

module Basalt
  module Data
    module Physical
      # Another engine than PostgreSQL: how it spells names and values, which types it has for those of PostgreSQL, and what it can hold.
      class Engine
        # @return [Array<Engine>]
        def self.all = @all ||= [Engines::SQLite.new, Engines::MariaDB.new, Engines::Standard.new].freeze

        # @return [Engine]
        # @raise [Mistake]
        def self.named(name)
          all.find { |one| one.name == name } || raise(Mistake, "there is no engine “#{Model::Names.short(name)}” here")
        end

        # The parts of a type: its name, its figures, and whether there are many of it.
        TYPE = /\A(?<name>[^(\[]+)(?:\((?<figures>[^)]*)\))?(?<many>(?:\[\d*\])*)\z/

        # @return [Hash{String => String}] types of PostgreSQL with those of the engine; * stands for the figures that are said
        def types = self.class::TYPES

        # @param type [String] of a column
        # @param own [Hash{String => String}] what was agreed on instead
        # @return [Array(String, String)] the type, and what is lost by it, nil where nothing is
        def type(type, own = {})
          found = type.sub(/\s+COLLATE\s.*\z/, "").match(TYPE)
          known = own.merge(types.except(*own.keys))
          return many(known) if found.nil? || !found[:many].empty?

          name = found[:name].strip.sub(/\Ainterval .*/, "interval")
          spelled = known[name] or return [known.fetch("text"), "#{type} becomes text"]
          [figured(spelled, found[:figures]), self.class::LOSING[name]]
        end

        def quote(name) = name.match?(/\A[a-z_][a-z0-9_]*\z/) && !SQLName.reserved?(name) && !reserved?(name) ? name : quoted(name)
        def text(words) = SQLName.text(words)
        def truth(yes) = yes ? "TRUE" : "FALSE"
        def together(one, other) = "#{one} || #{other}"
        def function(name) = name
        def reserved?(_name) = false
        def schemas? = false
        def holds?(what) = self.class::HOLDS.include?(what)
        # @return [Boolean] whether a key that numbers itself is said at its column
        def key_at_column? = false
        # @return [Boolean] whether a reference may speak of a table that is not there yet
        def refers_ahead? = false
        def opening = []
        def acting(action) = action
        def keyed(type, _keyed) = type
        def quoted(name) = "\"#{name.gsub('"', '""')}\""

        # What ends CREATE TABLE.
        def ending = nil
        # @return [Boolean] whether two tables may have references of one name
        def names_by_table? = true
        # @return [Boolean] whether a check may speak of a column that numbers rows
        def checks_numbers? = true

        private

        # @return [String] a type of which no length is said
        def unlimited(type) = type

        def many(known) = [known.fetch("[]") { known.fetch("text") }, "a list becomes one text"]

        def figured(spelled, figures)
          return unlimited(spelled.sub("(*)", "")) if figures.nil?

          spelled.include?("(*)") ? spelled.sub("*", figures) : spelled
        end
      end
    end
  end
end
