# frozen_string_literal: true

module Basalt
  module Cloud
    # Which further facts of a thing stand in its label, in the order in which they were chosen.
    module ShownFacts
      BETWEEN = "; "
      MOST = 6
      # Whom it is chosen for: the thing, all of its service on the sheet, or all that stands there.
      WHOM = %w[one kind sheet].freeze

      module_function

      # @param text [String]
      # @return [String] as the model keeps it
      def normal(text)
        names = text.split(";").map { |name| Details.key(name) }.reject(&:empty?).uniq
        raise Model::BadFact, "#{names.length} facts would stand in a label, and #{MOST} have room there" if names.length > MOST

        names.join(BETWEEN)
      end

      # @return [Array<String>]
      def of(thing) = thing["shown"].to_s.split(BETWEEN)

      # @return [Array<String>] names with their values, of those that it has
      def words(thing)
        names = of(thing)
        facts = names.empty? ? {} : Details.read(thing["details"])
        names.filter_map { |name| "#{name} #{facts[name]}" if facts.key?(name) }
      end

      # @param shown [Boolean]
      # @return [Change::Set] that shows a fact in a label or leaves it out
      def showing(thing, name, shown)
        names = shown ? of(thing) | [Details.key(name)] : of(thing) - [Details.key(name)]
        Change::Set.new(id: thing.id, fact: "shown", value: names.empty? ? nil : names.join(BETWEEN))
      end

      # @param whom [String] of WHOM
      # @return [Array<Model::Element>] those on a sheet for which it is chosen, who have that fact
      def chosen(set, sheet_id, thing, name, whom)
        return [thing] if whom == "one"

        all = set.things_on(sheet_id).select { |one| one.kind == Kinds::RESOURCE && Details.read(one["details"]).key?(name) }
        whom == "kind" ? all.select { |one| one["service"] == thing["service"] } : all
      end
    end
  end
end
