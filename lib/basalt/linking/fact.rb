# frozen_string_literal: true

module Basalt
  module Linking
    # By what of a thing its sheet is looked for: its name, a fact of it, or what it is in.
    Fact =
      Value.of(:id, :label, :shared, :read) do
        # Types of fields that name something.
        self::WORDED = %i[text word].freeze

        # @param things [Array<Model::Element>]
        # @return [Array<Fact>] those of which at least one of the things says something
        def self.of(set, things)
          [name, *facts(things), *places(set, things)]
        end

        # @param id [String]
        # @return [Fact]
        # @raise [Mistake]
        def self.find(set, things, id)
          all = of(set, things)
          all.find { |fact| [fact.id, fact.label].include?(id) } or
            raise Mistake, "nothing here has “#{Model::Names.short(id)}” to compare; there is #{all.map(&:label).join(", ")}"
        end

        def self.name = new(id: "name", label: "name", shared: false, read: ->(_set, thing) { thing.name })

        def self.facts(things)
          fields = things.map(&:description).uniq.flat_map { |kind| kind.fields.values }.reject(&:internal).uniq(&:name)
          fields.select { |field| self::WORDED.include?(field.type) && things.any? { |thing| thing[field.name] } }.map do |field|
            new(id: field.name, label: field.title, shared: false, read: ->(_set, thing) { thing[field.name] })
          end
        end

        # What a thing is in is the same for all that is in it.
        def self.places(set, things)
          nouns = things.flat_map { |thing| around(set, thing).map(&:noun) }.uniq
          nouns.map do |noun|
            new(id: "in #{noun}", label: noun, shared: true, read: ->(all, thing) { outer(all, thing, noun)&.name })
          end
        end

        # @return [Model::Element, nil] the nearest of a kind that a thing is in
        def self.outer(set, thing, noun) = around(set, thing).find { |one| one.noun == noun }

        # @return [Array<Model::Element>] what a thing is in, from the inside outwards
        def self.around(set, thing)
          found = []
          found << thing while (thing = thing.container_id && set.element(thing.container_id))
          found
        end

        # @return [String, nil]
        def value(set, thing) = read.call(set, thing)&.to_s
      end
  end
end
