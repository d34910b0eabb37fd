# frozen_string_literal: true

module Basalt
  module Data
    # The thread from what was derived to its source, which the model keeps by id and sentences
    # tell as a path of names.
    module Threads
      module_function

      # @return [Model::Element, nil] what something was derived from
      def source(set, element) = element["thread"] && set.element(element["thread"].split("/").first)

      # @return [Array] parts of a sentence
      def words(unparser, element)
        path = element["thread"] && path(unparser.set, element["thread"]) or return []
        refined = Refinement.refined?(unparser.set, element) ? ["derived as", Statements::Quoting.quote(element["as_derived"])] : []
        ["from", Statements::Quoting.quote(path), *refined]
      end

      # @return [Array<String>] the sentence that tells where a view comes from
      def told(unparser, thing) = thing["thread"] ? [unparser.say(unparser.thing(thing.id), "comes", *words(unparser, thing))] : []

      # @return [String, nil] names instead of ids
      def path(set, thread)
        parts = thread.split("/").map { |part| part.match?(ID) ? set.element(part)&.then { |element| name(set, element) } : ".#{part}" }
        parts.include?(nil) ? nil : parts.join("/")
      end

      ID = /\A(\h{8}-\h{4}-\h{4}-\h{4}-\h{12}|\d+)\z/

      def name(set, element)
        case element.kind
        when "attribute"
          "#{name(set, set.element(element.owner_id))}.#{element.name}"
        when "relationship", "dependence", "participation"
          [element.kind[0], *element.name, *element.targets.map { |id| set.element(id)&.name }].join(" ")
        else
          element.name
        end
      end

      # @return [String, nil] the thread that a path of names tells of
      def thread(set, path)
        known = names(set)
        parts = path.split("/").map { |part| part.start_with?(".") ? part.delete_prefix(".") : known[part] }
        parts.include?(nil) ? nil : parts.join("/")
      end

      def names(set)
        set
          .of_kind("entity", "meeting", "attribute", "relationship", "dependence", "participation")
          .each_with_object({}) { |element, found| found[name(set, element)] ||= element.id }
      end
    end
  end
end
