# frozen_string_literal: true

module Basalt
  module Software
    module Reverse
      # What a method of Ruby takes, as parameters of UML's notation.
      module RubyParameters
        # Letters of a default that are kept.
        LONGEST = 40

        module_function

        # @param node [Prism::ParametersNode, nil]
        # @return [Array<Features::Parameter>]
        def of(node)
          return [] unless node

          [
            *(node.requireds + node.posts).map { |one| plain(one) },
            *node.optionals.map { |one| with(one.name.to_s, one.value) },
            *(Array(node.rest).map { |one| named("*#{one.respond_to?(:name) && one.name ? one.name : "rest"}") }),
            *node.keywords.map { |one| with(one.name.to_s, one.respond_to?(:value) ? one.value : nil) },
            *(Array(node.keyword_rest).map { |one| keywords(one) }.compact),
            *(Array(node.block).map { |one| named("&#{one.name || "block"}") })
          ].uniq(&:name)
        end

        def plain(node) = named(node.respond_to?(:name) ? node.name.to_s : "parts")
        def named(name) = Features::Parameter.new(name:)

        def keywords(node)
          named("**#{node.respond_to?(:name) && node.name ? node.name : "rest"}") unless node.is_a?(Prism::NoKeywordsParameterNode)
        end

        def with(name, value)
          text = value && text(value)
          text ? Features::Parameter.new(name:, default: text) : named(name)
        end

        # A value as it stands, where it is short and can be read in UML's notation.
        #
        # @return [String, nil]
        def text(node)
          text = node.slice.gsub(/\s+/, " ").strip
          return if text.empty? || text.length > LONGEST

          # Also where others stand behind it.
          known = [Features::Attribute.new(name: "x", default: text), Features::Attribute.new(name: "y")]
          text if Features::Notation.list("x = #{text}, y") == known
        rescue Mistake
          nil
        end
      end
    end
  end
end
