# frozen_string_literal: true

module Basalt
  module Software
    module Classes
      # Sentences about the features of classes. Features of one name that a sentence lists are several.
      module Featuring
        module_function

        # @return [Array<Model::Element>] in their order
        def of(set, class_id) = set.parts_of(class_id).select { |part| Kinds::FEATURES.include?(part.kind) }
        def attributes(set, class_id) = of(set, class_id).reject { |part| part.kind == "operation" }
        def operations(set, class_id) = of(set, class_id).select { |part| part.kind == "operation" }

        # @param said [Hash] +class+ and +features+
        def add(context, said)
          taken = []
          said[:features].each do |feature|
            known = known(context.draft, said[:class], feature, taken)
            taken << (known ? enrich(context, known, feature) : made(context, said[:class], feature)).id
          end
          context.show(said[:class])
        end

        # The feature that a text speaks of: of that name and type, or else of that name; operations by what they take.
        #
        # @param taken [Array<String>] ids of those that were spoken of before
        # @return [Model::Element, nil]
        def known(set, owner, feature, taken = [])
          kind = Facts.kind(feature, owner)
          name = Model::Names.clean(feature.name)
          alike = of(set, owner.id).select { |part| part.kind == kind && part.name == name && !taken.include?(part.id) }
          alike = alike.select { |part| Facts.static?(part) == feature.static? }
          said = Facts.of(feature, kind)
          return alike.find { |part| part["type"] == said["type"] } || alike.first unless kind == "operation"

          alike.find { |part| part["parameters"] == said["parameters"] && [nil, part["type"]].include?(said["type"]) }
        end

        def made(context, owner, feature)
          kind = Facts.kind(feature, owner)
          context.add(kind, name: feature.name, facts: Facts.of(feature, kind).compact, owner_id: owner.id)
        end

        # What is said once more alters nothing; what is said newly does.
        def enrich(context, part, feature)
          Facts.of(feature, part.kind).compact.each { |fact, value| context.set(part.id, fact, value) }
          part
        end

        # Takes features back that a sentence told and another in its place does not; one that stands where another stood is the same.
        def withdraw(context, said, other)
          owner = said[:class]
          fresh = other && other[:class].id == owner.id ? other[:features] : []
          parts = found(context.draft, owner, said[:features])
          left = said[:features] - fresh
          parts.zip(said[:features]).each_with_index do |(part, feature), index|
            next if part.nil? || fresh.include?(feature)

            instead = fresh[index] if fresh.length == parts.length || left.one?
            instead ||= fresh.find { |one| one.name == feature.name }
            instead = nil if said[:features].include?(instead)
            context.draft.apply(instead ? Respell.new(id: part.id, feature: instead) : Change::Remove.new(id: part.id))
          end
        end

        def found(set, owner, features)
          features.each_with_object([]) { |feature, parts| parts << known(set, owner, feature, parts.compact.map(&:id)) }
        end

        # @return [Array<String>] sentences
        def tell(unparser, owner)
          { "has" => attributes(unparser.set, owner.id), "can" => operations(unparser.set, owner.id) }.flat_map do |verb, parts|
            parts.empty? ? [] : unparser.say_list([unparser.thing(owner.id), verb], parts.map { |part| words(part) })
          end
        end

        # @return [Array<String>] what is said of a feature behind the verb
        def words(part) = [Facts.text(part)]
      end
    end
  end
end
