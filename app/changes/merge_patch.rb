# frozen_string_literal: true

module App
  # JSON merge patch, RFC 7396: null takes a member away, objects merge, anything else replaces.
  module MergePatch
    module_function

    def apply(target, patch)
      return patch unless patch.is_a?(Hash)
      result = target.is_a?(Hash) ? target.dup : {}
      patch.each { |key, value| value.nil? ? result.delete(key) : result[key] = apply(result[key], value) }
      result
    end
  end
end
