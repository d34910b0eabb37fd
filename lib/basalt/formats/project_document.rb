# frozen_string_literal: true

require "json"

module Basalt
  module Formats
    # A whole project as one JSON document; project.schema.json beside this file describes it. Reading
    # checks every value, and refuses with the place (a JSON pointer, RFC 6901).
    class ProjectDocument
      VERSION = Model::RowVersions::CURRENT
      # Bytes, and how deep its arrays and objects may be nested.
      LIMIT = 200_000_000
      DEPTH = 20

      # A document that cannot be taken; the message begins with the place.
      class Damaged < Mistake
        def initialize(place, reason)
          super("#{place.empty? ? "the document" : place}: #{reason}")
        end
      end

      # What the document holds beside the model, as plain hashes.
      Extras = Value.of(journal: [], images: [], texts: [])

      class << self
        # @param set [Model::WorkingSet, Change::Draft]
        # @return [String] JSON
        def write(set, extras: Extras.new)
          JSON.pretty_generate(
            {
              basalt: VERSION,
              project: {
                name: set.project
              },
              **tables(set),
              journal: extras.journal,
              images: extras.images,
              texts: extras.texts
            }
          )
        end

        # @param text [String]
        # @return [ProjectDocument]
        # @raise [Damaged]
        def read(text)
          raise Damaged.new("", "it is larger than #{LIMIT / 1_000_000} MB") if text.bytesize > LIMIT

          json = parse(text)
          refuse_nul(json, "") if text.b.include?("\\u0000".b)
          new(json)
        end

        private

        def tables(set)
          Model::RowTypes.tables.to_h do |table|
            [table, set.table(table).each.sort_by(&:ordinal).map { |row| DocumentRows.dump(table, row) }]
          end
        end

        # A database keeps no text with this character in it.
        def refuse_nul(json, place)
          case json
          when String
            raise Damaged.new(place, "it holds a character that cannot be kept") if json.include?("\0")
          when Hash
            json.each { |key, value| [key, value].each { |one| refuse_nul(one, "#{place}/#{key.delete("\0")}") } }
          when Array
            json.each_with_index { |value, index| refuse_nul(value, "#{place}/#{index}") }
          end
        end

        def parse(text)
          JSON.parse(text.dup.force_encoding("UTF-8").delete_prefix("\uFEFF"), max_nesting: DEPTH)
        rescue JSON::NestingError
          raise Damaged.new("", "it is nested more than #{DEPTH} deep")
        rescue JSON::ParserError, EncodingError => e
          raise Damaged.new("", "this is not JSON (#{e.message.lines.first.to_s.strip[0, 160]})")
        end
      end

      # @param json [Object] as parsed
      def initialize(json)
        head(json)
        json = OlderDocuments.upgrade(json)
        Schema.check(json)
        @name = project_name(json["project"])
        @rows = Model::RowTypes.tables.to_h { |table| [table, DocumentRows.load(table, json.fetch(table.to_s, []))] }
        @extras = Extras.new(journal: json.fetch("journal", []), images: json.fetch("images", []), texts: json.fetch("texts", []))
        Consistency.check(@rows)
        JournalRows.check(@extras.journal)
        ImageRows.check(@extras.images)
        TextRows.check(@extras.texts)
      end

      attr_reader :name, :extras

      # @return [Model::WorkingSet]
      def set
        Model::WorkingSet.new(project: name).tap { |set| @rows.each { |table, rows| rows.each { |row| set.table(table).put(row) } } }
      end

      private

      def head(json)
        raise Damaged.new("", "it is not an object") unless json.is_a?(Hash)

        version = json["basalt"]
        unless version.is_a?(Integer)
          raise Damaged.new("/basalt", "the version of the document is missing: this is no project of Basalt's")
        end
        if version > VERSION
          raise Damaged.new("/basalt", "it is of version #{version}; this Basalt reads up to #{VERSION}, so a newer one is needed")
        end
      end

      def project_name(project)
        project["name"] && Model::Names.clean(project["name"])
      rescue Model::BadFact => e
        raise Damaged.new("/project/name", e.message)
      end
    end
  end
end
