# frozen_string_literal: true

require_relative "../support/core_helper"

# What docs and README point at is there.
class DocsTest < Minitest::Test
  ROOT = File.expand_path("../..", __dir__)
  LINK = /\]\(([^)#\s]+)(?:#[^)]*)?\)/
  NAMED = %r{`((?:lib|app|store|test|bench|docs|demo)/[\w/.-]+)`}

  def documents = [File.join(ROOT, "README.md"), *Dir[File.join(ROOT, "docs/*.md")]]

  def test_every_file_that_is_pointed_at_exists
    links =
      documents.flat_map do |file|
        File
          .read(file)
          .scan(LINK)
          .flatten
          .reject { |link| link.match?(/\A\w+:/) }
          .map { |link| [file, File.expand_path(link, File.dirname(file))] }
      end
    named =
      documents.flat_map do |file|
        File.read(file).scan(NAMED).flatten.reject { |path| path.include?("NAME") }.map { |path| [file, File.join(ROOT, path)] }
      end
    assert_operator links.length, :>, 30
    assert_empty(
      (links + named).reject { |_, path| File.exist?(path) }.map { |file, path| "#{File.basename(file)}: #{path.delete_prefix(ROOT)}" }
    )
  end

  def test_ten_changes_are_told_with_the_file_that_each_belongs_to
    rows =
      File.read(File.join(ROOT, "docs/where.md")).split("\n\n")[2]
        .lines
        .grep(/\A\| (?!change|-)/)
        .reject { |row| row.start_with?("|---") }
    assert_equal 10, rows.length
    rows.each { |row| assert_match(LINK, row) }
  end

  # Each is read, told and read again.
  def test_the_examples_of_the_language_are_statements
    examples = File.read(File.join(ROOT, "docs/statements.md")).scan(/^```\n(.*?)^```/m).flatten
    assert_operator examples.length, :>=, 2
    examples.each do |example|
      told = [example, nil].each_with_object([]) do |text, readings|
        draft = Basalt::Change::Draft.new(Basalt::Model::WorkingSet.new)
        Basalt::Statements::Document.new(text || readings.last).into(draft)
        readings << Basalt::Statements::Unparser.new(draft).project
      end
      assert_equal(*told)
    end
  end
end
