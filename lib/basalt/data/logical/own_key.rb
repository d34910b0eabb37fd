# frozen_string_literal: true

module Basalt
  module Data
    module Logical
      # What tells the rows of a table apart: columns that do so by themselves, or a number, as the house has it. Keys that are
      # not the table's own are held to be unique.
      class OwnKey
        # @param entity [Model::Element] whose table it is
        def initialize(mapping, set, entity)
          @mapping = mapping
          @set = set
          @entity = entity
        end

        # @param owners [Array<Model::Element>] whose attributes the table holds
        def fill(draft, owners = [@entity])
          first = owners.find { |owner| natural(owner).any? }
          return numbered(draft, owners) if @mapping.house.surrogate? || first.nil?

          owners.each { |owner| @mapping.attributes(draft, owner, key: owner == first) }
          (owners - [first]).each { |owner| held(draft, owner) }
        end

        # Holds what tells one from another, where rows have another key.
        #
        # @return [Array<Column>]
        def held(draft, owner = @entity)
          columns = natural(owner)
          thread = ["#{@entity.id}/natural", *(owner.id unless owner == @entity)].join("/")
          draft.unique(Uniqueness.new(thread:, columns: columns.map(&:thread))) if columns.any?
          columns
        end

        # @param keys [Array<Array<Column>>]
        def still_told(keys)
          names = keys.map { |columns| English.list(columns.map(&:name)) }
          verb = keys.flatten.one? ? "still tells" : "#{"each " if keys.length > 1}still tell"
          "#{English.list(names)} #{verb} one #{@entity.name} from another."
        end

        private

        # @return [Array<Column>] those that tell one of an entity from another
        def natural(owner) = Attributes.new(@set, @mapping.house, owner).columns.select(&:key)

        def numbered(draft, owners)
          draft.add(
            Column.new(
              thread: "#{@entity.id}/key",
              name: @mapping.house.key(@entity.name),
              type: Types::KEY,
              key: true,
              required: true,
              generated: "identity"
            )
          )
          owners.each { |owner| @mapping.attributes(draft, owner) }
          told = owners.map { |owner| held(draft, owner) }.reject(&:empty?)
          return draft.say("Nothing tells one #{@entity.name} from another, so rows are numbered.") if told.empty?

          draft.say("Rows are numbered; #{still_told(told)}")
        end
      end
    end
  end
end
