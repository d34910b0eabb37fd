# frozen_string_literal: true

module Basalt
  module Data
    module Physical
      # Types for another engine that a project agreed on instead of the usual ones, kept with its conventions.
      module AgreedTypes
        PAIR = /\A\s*(?<type>[^=]+?)\s*=\s*(?<spelled>[\w() ,*]+?)\s*\z/

        module_function

        def fact(engine) = "#{engine.name}_types"

        # @return [Hash{String => String}] types of PostgreSQL with those of the engine
        def of(set, engine)
          house = set.of_kind(Logical::Conventions::KIND).first
          house&.[](fact(engine)) ? read(house[fact(engine)]) : {}
        end

        # @param text [String] one a line, or with semicolons between them: the type, an equals sign, the engine's
        # @raise [Mistake] for a line that is none
        def read(text)
          text.split(/[\n;]/).map(&:strip).reject(&:empty?).to_h do |line|
            found = line.match(PAIR) or raise Mistake, "“#{Model::Names.short(line)}” is no pair of types, such as numeric = TEXT"
            [found[:type], found[:spelled]]
          end
        end

        # @return [String]
        def written(types) = types.map { |type, spelled| "#{type} = #{spelled}" }.join("; ")

        def agree(draft, engine, types)
          house = draft.of_kind(Logical::Conventions::KIND).first ||
                  Change::Add.new(kind: Logical::Conventions::KIND, name: "House").apply(draft)
          draft.apply(Change::Set.new(id: house.id, fact: fact(engine), value: types.empty? ? nil : written(types)))
        end
      end
    end
  end
end
