# frozen_string_literal: true

module App
  # JSON merge patch, RFC 7396: null takes a member away, objects merge, anything else replaces.
  module MergePatch
    module_function

    # Does a list stand anywhere in it?
    def list?(patch) = patch.is_a?(Array) || (patch.is_a?(Hash) && patch.each_value.any? { |value| list?(value) })

    def apply(target, patch)
      return patch unless patch.is_a?(Hash)
      result = target.is_a?(Hash) ? target.dup : {}
      patch.each { |key, value| value.nil? ? result.delete(key) : result[key] = apply(result[key], value) }
      result
    end
  end
end
