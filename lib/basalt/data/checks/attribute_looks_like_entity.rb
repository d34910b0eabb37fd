# frozen_string_literal: true

module Basalt
  module Data
    module Checks
      # Attributes that repeat the name of another entity, or share a first word with others.
      class AttributeLooksLikeEntity < Basalt::Checks::Check
        rule "attribute-looks-like-entity", :hint, reads: %w[entity attribute]

        LEAST = 3

        def findings
          names = set.of_kind("entity").to_h { |entity| [entity.name.downcase, entity] }
          set.of_kind("entity").flat_map { |entity| named_like(entity, names) + sharing(entity) }
        end

        private

        def named_like(entity, names)
          Describing
            .of(set, entity.id)
            .filter_map do |attribute|
              other = names[attribute.name.downcase] || names[singular(attribute.name)]
              next if other.nil? || other.id == entity.id

              finding(
                [attribute.owner_id, other.id],
                "#{attribute.name} of #{entity.name} is an entity too",
                "What #{other.name} is, is said there; here it could be a relationship.",
                repair: repair("Relate #{entity.name} to #{other.name} instead", *instead(entity, attribute, other))
              )
            end
        end

        # Many entities have attributes of the same names.
        def singular(name)
          @singular ||= {}
          @singular[name] ||= English.singular(name).downcase
        end

        def instead(entity, attribute, other)
          [
            Change::Remove.new(id: attribute.id),
            Change::Add.new(kind: "relationship", name: "has", ends: [["one", entity.id, {}], ["other", other.id, {}]])
          ]
        end

        # Attributes such as site name, site code and site town.
        def sharing(entity)
          plain = Describing.of(set, entity.id).select { |attribute| attribute.name.include?(" ") && !attribute["derived"] }
          plain
            .group_by { |attribute| attribute.name[/\A\S+/].downcase }
            .filter_map do |word, attributes|
              if attributes.length < LEAST || entity.name.downcase.start_with?(word) || %w[first last is has number date].include?(word)
                next
              end

              finding(
                entity.id,
                "#{English.list(attributes.map(&:name))} of #{entity.name} look like one thing",
                "What has several facts of its own is an entity as a rule: #{word}.",
                repair:
                  repair(
                    "Make #{word} an entity",
                    Splitting.new(entity_id: entity.id, attribute_ids: attributes.map(&:id), name: word.capitalize)
                  )
              )
            end
        end
      end
    end
  end
end
