# frozen_string_literal: true

require "prism"

# Which files of a source tree use which constants of it, read by Ruby's own parser (Prism). A constant is known by the
# file that defines it; nothing is loaded.
class ConstantGraph
  # from, to: paths of files; line: in from; constant: as it is written there.
  Use = Struct.new(:from, :to, :line, :constant, keyword_init: true)

  # One file's constants: those it defines, and those it names with the scopes around each.
  class Reading < Prism::Visitor
    attr_reader :defined, :named

    def initialize
      @scopes, @defined, @named = [], [], []
      super
    end

    def visit_module_node(node) = scope(node)

    def visit_class_node(node)
      visit(node.superclass) if node.superclass
      scope(node)
    end

    def visit_constant_write_node(node)
      @defined << [*@scopes, node.name.to_s].join("::")
      visit(node.value)
    end

    def visit_constant_read_node(node) = name(node)

    def visit_constant_path_node(node)
      node.slice.match?(/\A[A-Z:][\w:]*\z/) ? name(node) : super
    end

    private

    def name(node) = @named << [@scopes.dup, node.slice, node.location.start_line]

    def scope(node)
      @scopes.push(node.constant_path.slice)
      @defined << @scopes.join("::")
      visit(node.body) if node.body
      @scopes.pop
    end
  end

  # sources: {path → Ruby text}; root: scopes that lie around all of them though the texts do not say so.
  def initialize(sources, root: [])
    @root = root
    @readings = sources.transform_values { |text| Reading.new.tap { |reading| reading.visit(Prism.parse(text).value) } }
  end

  # All uses of one file's constants by another.
  def uses
    @readings.flat_map do |from, reading|
      reading.named.filter_map do |scopes, constant, line|
        to = home(scopes, constant)
        Use.new(from: from, to: to, line: line, constant: constant) if to && to != from
      end
    end
  end

  private

  # The file that defines a constant as it is seen from within these scopes, or nil where it is not of this tree: the
  # whole name or, of a constant within a known one, the longest part of it.
  def home(scopes, constant)
    parts = constant.delete_prefix("::").split("::")
    around = constant.start_with?("::") ? [[]] : (scopes.length.downto(0).map { |depth| scopes.first(depth) } + [@root])
    parts
      .length
      .downto(1) do |length|
        around.each do |scope|
          found = homes[[*scope, *parts.first(length)].join("::")]
          return found if found
        end
      end
    nil
  end

  # A module that many files reopen is nobody's.
  def homes
    @homes ||=
      @readings
        .flat_map { |path, reading| reading.defined.map { |name| [name, path] } }
        .group_by(&:first)
        .transform_values { |found| found.map(&:last).uniq }
        .select { |_, paths| paths.length == 1 }
        .transform_values(&:first)
  end
end
