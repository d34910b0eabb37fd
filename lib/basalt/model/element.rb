# frozen_string_literal: true

module Basalt
  module Model
    # Anything in the model: a thing, a relation, an owned part. +ordinal+ is the order of making.
    Element =
      Value.of(:id, :kind, :name, :owner_id, :rank, :container_id, :facts, :ends, :assumed, :said_by, :external_id, :ordinal) do
        def initialize(facts: {}, ends: [], assumed: false, **rest)
          super(facts: facts.freeze, ends: ends.freeze, assumed:, **rest)
        end

        def with(**changes)
          changes[:facts]&.freeze
          changes[:ends]&.freeze
          copied(changes)
        end

        def [](fact) = facts[fact]
        def relation? = !ends.empty?

        # @return [String, nil] id of the element at the end with that role
        def target(role)
          index = 0
          while (one = ends[index])
            return one.target_id if one.role == role

            index += 1
          end
        end

        def targets(role = nil) = (role ? ends.select { |e| e.role == role } : ends).map(&:target_id)

        # @return [Array<String>] ids of what a relation is drawn between: its first and its last end
        def endpoints = ends.empty? ? [] : [ends.first.target_id, ends.last.target_id]

        # @return [Array<Array(String, Object)>] facts by whose value it is found
        def indexed =
          facts.empty? ? [] : (Catalogue.kinds[kind]&.indexed || []).filter_map { |fact| facts[fact]&.then { |value| [fact, value] } }

        def description = Catalogue.kind(kind)
        def noun = description.noun(self)
      end
  end
end
