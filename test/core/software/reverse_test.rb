# frozen_string_literal: true

require_relative "../../support/core_helper"

# Source code and tags as packages and classes: read, taken in, and taken in again after it changed.
class ReverseTest < Minitest::Test
  include CoreHelper

  Reverse = Basalt::Software::Reverse
  Facts = Basalt::Software::Classes::Facts

  SOURCE = <<~RUBY
    module Desk
      LIMIT = 3
      module Loud
        def shout(text) = text.upcase
      end
      class Base < ::StandardError
        include Loud
        attr_reader :name, :code
        attr_accessor :state
        MAX = 10
        def initialize(name, code = nil, *rest, at:, by: :me, **more, &block)
          @name = name
        end
        def self.build = new("x")
        class << self
          def find(id) = Store.get(id)
        end
        def [](key) = nil
        protected
        def peek; end
        private
        def hide?; end
        public def seen!; end
        class Inner; end
      end
      class Store < Base
        Row = Struct.new(:id, :text) do
          def to_s = text
        end
        private_class_method def self.get(id) = Row.new(id)
      end
    end
  RUBY

  def draft(set = Model::WorkingSet.new) = Change::Draft.new(set, ids: -> { SecureRandom.uuid })
  def read(*sources) = Reverse::RubySource.read(sources.each_with_index.to_h { |text, number| ["f#{number}.rb", text] })
  def features(structure, *path) = structure.at(path).features.map(&:to_s)

  def test_ruby_is_read_and_never_run
    found = read("#{SOURCE}\nraise 'never'\n`rm -rf /nowhere`")
    assert_empty found.skipped
    assert_equal ["::StandardError"], found.at(%w[Desk Base]).supers
    assert_equal [%w[include Loud]], found.at(%w[Desk Base]).mixed_in
    assert_equal ["+name {readOnly}", "+code {readOnly}", "+state", "+MAX = 10 {static, readOnly}",
                  "+initialize(name, code = nil, *rest, at, by = :me, **more, &block)", "+build() {static}", "+find(id) {static}",
                  "+[](key)", "#peek()", "-hide?()", "+seen!()"], features(found, "Desk", "Base")
    assert_equal ["-get(id) {static}"], features(found, "Desk", "Store")
    assert_equal ["+id", "+text", "+to_s()"], features(found, "Desk", "Store", "Row")
    assert_includes found.at(%w[Desk Base]).references, "Store"
  end

  def test_what_was_read_stands_in_the_model
    draft = Reverse::Intake.new(read(SOURCE), Model::WorkingSet.new).into(draft())
    assert_equal %w[Desk], draft.of_kind("package").map(&:name)
    named = ->(name) { draft.named(name).find { |one| one.kind == "class" } }
    inner, base = named["Inner"], named["Base"]
    assert_equal [base.id, "Desk"], [inner.container_id, draft.element(base.container_id).name]
    assert_equal "module", named["Loud"]["stereotype"]
    lines =
      draft.of_kind("generalisation", "dependency").map { |one| [*one.endpoints.map { |id| draft.element(id).name }, one["stereotype"]] }
    assert_includes lines, ["Store", "Base", nil]
    assert_includes lines, ["Base", "Loud", "include"]
    assert_includes lines, ["Base", "Store", nil], "what is spoken of is depended on"
    told = model(reading(draft))
    counts = [draft, told].map { |set| set.elements.each.map { |one| [one.kind, one.name] }.tally }
    assert_equal counts[0], counts[1]
  end

  def test_a_file_that_is_no_ruby_is_listed_and_the_rest_taken
    found = read("class Fine; end", "class Broken def", "class #{"A::" * 60}B; end", "(" * 200_000)
    assert_equal ["Fine"], found.all.map(&:full_name)
    assert_includes found.skipped.map(&:first), "f1.rb"
    assert_match(/line 1/, found.skipped.to_h["f1.rb"])
  end

  # Taken once more nothing differs; after the code changed only that does, and what a person wrote stays.
  def test_code_that_changed_shows_its_difference
    first = read(SOURCE)
    base = Model::WorkingSet.new.advance(Reverse::Intake.new(first, Model::WorkingSet.new).into(draft()).effect)
    assert_empty Reverse::Intake.new(first, base).steps
    refined = draft(base)
    part = base.of_kind("property").find { |one| one.name == "state" }
    refined.apply(Change::Set.new(id: part.id, fact: "type", value: "State"))
    refined.apply(Change::AddSheet.new(name: "S", notation: "classes", id: "00000000-0000-4000-8000-000000000001"))
    kept = base.of_kind("class").find { |one| one.name == "Base" }
    refined.apply(Change::Show.new(sheet_id: "00000000-0000-4000-8000-000000000001", element_id: kept.id, x: 40, y: 60))
    set = base.advance(refined.effect)
    assert_empty Reverse::Intake.new(first, set).steps, "a type that somebody added is theirs"

    fresh = SOURCE.sub("def [](key) = nil", "def [](key, deep) = nil").sub("LIMIT = 3", "class Fresh < Store; end")
    changed = read(fresh.sub("class Inner; end", ""))
    steps = Reverse::Intake.new(changed, set).steps
    words = steps.map { |step| [step.act, step.words] }
    assert_includes words, [:add, "class Desk::Fresh"]
    assert_includes words, [:alter, "Base: +[](key) becomes +[](key, deep)"]
    assert_includes words, [:drop, "class Desk::Base::Inner"]
    after = draft(set)
    steps.each { |step| step.apply(after) }
    assert_empty Reverse::Intake.new(changed, after).steps
    placed = after.placement("00000000-0000-4000-8000-000000000001", kept.id)
    assert_equal [40, 60], [placed.x, placed.y]
    assert_equal "State", after.element(part.id)["type"]
  end

  TAGS = [
    { _type: "tag", name: "geo", kind: "namespace" },
    { _type: "tag", name: "Shape", kind: "class", scope: "geo", scopeKind: "namespace" },
    { _type: "tag", name: "Circle", kind: "class", scope: "geo", inherits: "Shape" },
    { _type: "tag", name: "radius", kind: "member", scope: "geo::Circle", access: "private", typeref: "typename:double" },
    { _type: "tag", name: "scale", kind: "method", scope: "geo.Circle", access: "public", typeref: "typename:void",
      signature: "(double by, const std::string &why)" },
    { _type: "tag", name: "Colour", kind: "enum", scope: "geo" },
    { _type: "tag", name: "red", kind: "enumerator", scope: "geo::Colour" },
    { _type: "ptag", name: "JSON_OUTPUT_VERSION" }
  ].freeze

  def test_tags_in_json_do_the_same_for_other_languages
    found = Reverse::Tags.read("#{TAGS.map { |tag| JSON.generate(tag) }.join("\n")}\nnot json\n")
    assert_equal [["line 9", "is no JSON"]], found.skipped
    assert_equal ["-radius: double", "+scale(by: double, why: const std::string &): void"], features(found, "geo", "Circle")
    draft = Reverse::Intake.new(found, Model::WorkingSet.new).into(draft())
    names = draft.of_kind("generalisation").first.endpoints.map { |id| draft.element(id).name }
    assert_equal %w[Circle Shape], names
    assert_equal ["red"], draft.of_kind("literal").map(&:name)
    assert_raises(Basalt::Mistake) { Reverse::Tags.read("{}\n[1]\n") }
  end

  def test_an_excerpt_is_a_package_or_a_class_with_its_neighbours
    set = model("sheet C: classes\npackage P\nclass A in P\nclass B in P\nclass C\nclass D\nA depends on B\nB depends on C\nC depends on D")
    excerpt = Reverse::Excerpt.new(set)
    id = ->(name) { set.named(name).first.id }
    assert_equal %w[A B P], excerpt.package(id["P"]).map { |one| set.element(one).name }.sort
    counts = (0..3).map { |depth| excerpt.around(id["A"], depth).length }
    assert_equal [1, 2, 3, 4], counts
  end

  # Two gems that are installed, as large as code gets.
  def test_two_gems_are_read_for_real
    %w[activerecord activesupport].each do |gem|
      folder = Gem.loaded_specs[gem]&.full_gem_path || Gem::Specification.find_by_name(gem).full_gem_path
      files = Dir["#{folder}/lib/**/*.rb"].to_h { |path| [path, File.binread(path).force_encoding("UTF-8")] }
      found = Reverse::RubySource.read(files)
      assert_empty found.skipped, gem
      assert_operator found.all.length, :>, 200
      draft = Reverse::Intake.new(found, Model::WorkingSet.new).into(draft())
      assert_empty Reverse::Intake.new(found, draft).steps, "#{gem}: taken once more nothing differs"
      assert(draft.of_kind("property", "operation").all? { |part| Basalt::Software::Features::Notation.read(Facts.feature(part).to_s) })
      assert_told_in_words(draft) if gem == "activesupport"
    end
  end

  # Classes of one name in several packages and in none, and packages that are called like classes.
  def assert_told_in_words(draft)
    set = Model::WorkingSet.new.advance(draft.effect)
    again = model(reading(set))
    %w[class package property operation generalisation dependency].each do |kind|
      assert_equal told(set, kind), told(again, kind), kind
    end
  end

  def told(set, kind)
    set.of_kind(kind).map { |one| [*around(set, one), *one.endpoints.flat_map { |id| around(set, set.element(id)) }] }.sort_by(&:inspect)
  end

  def around(set, one) = one ? [one.name, *around(set, set.element((one.owner_id || one.container_id).to_s))] : []
end
