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
      # @return [Array<Model::Element>] those on a sheet for which it is chosen, whether they have that fact by now or not
      def chosen(set, sheet_id, thing, whom)
        return [thing] if whom == "one"

        all = set.things_on(sheet_id).select { |one| one.kind == Kinds::RESOURCE }
        whom == "kind" ? all.select { |one| one["service"] == thing["service"] } : all
      end

      # So many tell what is chosen for all of them, and not for each by itself.
      SEVERAL = 2

      # What all of its service on a sheet show, one that comes there shows too; where there are too few of it, what all there show.
      #
      # @param draft [Change::Draft]
      def settle(draft)
        common = Hash.new { |known, (sheet_id, service)| known[[sheet_id, service]] = common(draft.base, sheet_id, service) }
        draft.placements.differences.each do |_, before, after|
          thing = after && before.nil? && draft.element(after.element_id)
          next unless thing && thing.kind == Kinds::RESOURCE && of(thing).empty?

          common[[after.sheet_id, thing["service"]]].each { |name| draft.apply(showing(draft.element(thing.id), name, true)) }
        end
      end

      # @return [Array<String>]
      def common(set, sheet_id, service)
        return [] unless set.sheets[sheet_id]

        all = set.things_on(sheet_id).select { |one| one.kind == Kinds::RESOURCE }
        alike = all.select { |one| one["service"] == service }
        tellers = alike.length < SEVERAL ? all : alike
        tellers.length < SEVERAL ? [] : tellers.map { |one| of(one) }.reduce(:&)
      end
    end
  end
end
